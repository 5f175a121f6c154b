import type { Token } from '../text/tokens.ts';

/** From where left and right were meant. */
export interface Frame {
  readonly from: number;
  readonly to: number;
  readonly mirrored: boolean;
}

const LOOKING = new Set(
  'look looking lookin looked looks view viewed viewing seen see standing standin stand stood face facing facin faced watching'.split(
    ' ',
  ),
);
/** What stands at the front of a vehicle: who looks at it stands before it. */
const FRONT_THINGS = 'grille grill bonnet hood bumper nose radiator headlights headlamps';
const PLACE_WORDS = new Set(
  `${FRONT_THINGS} the of it you your at car van vehicle truck bus lorry trailer from in to and when as up dead straight its bonnet front back rear on frm out`.split(
    ' ',
  ),
);
const FRONT_THING = new RegExp(
  `(?:from|frm|at|to|fac(?:e|ing|in|ed)) (?:the |its )?(?:front )?(${FRONT_THINGS.replaceAll(' ', '|')})\\b`,
);
const FORWARD = new Set(['forward', 'forwards', 'ahead']);
const SEATED = new Set('sitting seated sat sit sits driving behind'.split(' '));
const SEAT_WORDS = new Set(
  'in it the drivers driver seat at wheel inside cab position as you your from behind when facing forward forwards car van vehicle when'.split(
    ' ',
  ),
);

/**
 * Finds the words that say from where the speaker looks: "as you look at it from the front" mirrors left and right,
 * "sitting in it" and "from behind" do not. The words are consumed so that `front` in them is no axle.
 */
export const findFrames = (tokens: readonly Token[]): Frame[] => {
  const frames: Frame[] = [];
  for (let i = 0; i < tokens.length; i++) {
    const word = tokens[i]?.norm ?? '';
    if (LOOKING.has(word)) {
      const reach = (words: ReadonlySet<string>) => {
        let to = i + 1;
        while (
          to < tokens.length &&
          (words.has(tokens[to]?.norm ?? '') || LOOKING.has(tokens[to]?.norm ?? '')) &&
          to < i + 10
        )
          to++;
        return to;
      };
      if (
        FORWARD.has(tokens[i + 1]?.norm ?? '') ||
        (tokens[i + 1]?.norm === 'straight' && FORWARD.has(tokens[i + 2]?.norm ?? ''))
      ) {
        frames.push({ from: i, to: i + 2, mirrored: false });
        continue;
      }
      const to = reach(PLACE_WORDS);
      const inside = tokens.slice(i, to).map((token) => token.norm);
      const text = inside.join(' ');
      const forwardNext = FORWARD.has(tokens[to]?.norm ?? '');
      let end = -1;
      let mirrored = true;
      const place =
        FRONT_THING.exec(text) ??
        /(?:from|frm|at|in|to) (?:the |dead |straight |its )?(front|back|rear)\b|from (?:in )?(front)/.exec(
          text,
        );
      if (place) {
        const where = place[1] ?? place[2];
        mirrored = where !== 'back' && where !== 'rear' && !forwardNext;
        end = i + text.slice(0, place.index + place[0].length).split(' ').length;
        if (tokens[end]?.norm === 'of' && PLACE_WORDS.has(tokens[end + 1]?.norm ?? ''))
          end += tokens[end + 1]?.norm === 'the' ? 3 : 2;
      } else if (/^(?:fac(?:e|ing|ed)|look(?:ing)? at) (?:the |it|at it)/.test(text)) {
        mirrored = !forwardNext;
        end = i + (text.startsWith('look') ? 3 : 2);
        if (PLACE_WORDS.has(tokens[end]?.norm ?? '') && tokens[end - 1]?.norm === 'the') end++;
      }
      if (end > i) {
        let from = i;
        while (from > 0 && /^(as|when|if|you|im|youre|from|the|and)$/.test(tokens[from - 1]?.norm ?? ''))
          from--;
        if (tokens[from]?.norm === 'the' || tokens[from]?.norm === 'and') from = Math.min(from + 1, i);
        frames.push({ from, to: Math.min(end, tokens.length), mirrored });
        i = end - 1;
        continue;
      }
    }
    if (word === 'from') {
      const rest = tokens
        .slice(i + 1, i + 6)
        .map((token) => token.norm)
        .join(' ');
      const seat = /^(?:the )?drivers? (?:seat|position|chair)/.exec(rest);
      const behind = /^behind(?: it| the (?:car|van|vehicle|truck))?/.exec(rest);
      const looking = /^(?:the )?(front|back|rear) (?:looking|facing|view)/.exec(rest);
      const hit = seat ?? behind ?? looking;
      if (hit) {
        let to = i + 1 + hit[0].split(' ').length;
        const mirrored = looking?.[1] === 'front';
        while (
          FORWARD.has(tokens[to]?.norm ?? '') ||
          (/^(back|backwards|in|at|it)$/.test(tokens[to]?.norm ?? '') && mirrored)
        )
          to++;
        frames.push({ from: i, to, mirrored });
        i = to - 1;
        continue;
      }
    }
    if (SEATED.has(word)) {
      let to = i + 1;
      while (to < tokens.length && SEAT_WORDS.has(tokens[to]?.norm ?? '') && to < i + 8) to++;
      const inside = tokens
        .slice(i, to)
        .map((token) => token.norm)
        .join(' ');
      const seat =
        /^(?:behind the wheel|(?:sitting|seated|sat|sit|sits)(?: (?:in|at|inside|behind|facing|as)\b.*)?|driving)$/.exec(
          inside,
        );
      if (seat && word !== 'driving') {
        let from = i;
        while (from > 0 && /^(as|when|if|you|im|youre)$/.test(tokens[from - 1]?.norm ?? '')) from--;
        frames.push({ from, to, mirrored: false });
        i = to - 1;
      }
    }
  }
  return frames;
};
