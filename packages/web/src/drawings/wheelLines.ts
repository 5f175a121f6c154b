/* Ink and dashes tell wheels apart without colour; the chosen one is thick and in the signal colour. */

const DASHES = [[], [7, 3], [2, 2], [9, 3, 2, 3], [4, 4], [1, 3]];
const GREYS = ['#1c2226', '#4b555a', '#1c2226', '#4b555a', '#6d767a', '#6d767a'];
const SIGNAL = '#b93a10';

export interface WheelLine {
  readonly colour: string;
  readonly dash: number[];
  readonly width: number;
}

/** How the line of the wheel at `i` is drawn. */
export const wheelLine = (i: number, chosen: boolean): WheelLine => ({
  colour: chosen ? SIGNAL : (GREYS[i] ?? '#4b555a'),
  dash: chosen ? [] : (DASHES[i] ?? []),
  width: chosen ? 2 : 1,
});
