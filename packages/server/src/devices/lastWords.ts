import type { DeviceLine } from '@hardy/core/contract';

type Word = DeviceLine['words'][number];

/** So many of the last words with a device are kept, each so long at most. */
const KEPT = 12;
const LONGEST = 200;

/** What was said to a device and what it answered, the newest last. */
export class LastWords {
  #words: Word[] = [];
  state: DeviceLine['state'] = 'not asked';
  say(who: Word['who'], text: string): void {
    this.#words = [
      ...this.#words.slice(1 - KEPT),
      { at: new Date().toISOString(), who, text: text.slice(0, LONGEST) },
    ];
  }
  get all(): readonly Word[] {
    return this.#words;
  }
}
