/** Keys this close together, in milliseconds, are words; a command is a letter alone. */
export const TOGETHER_MS = 140;
/** Words that have begun go on until keys rest this long, in milliseconds: between words a hand stays longer. */
export const WORDS_REST_MS = 1000;

/** What telling words from commands needs of the world. */
export interface BurstWorld {
  /** Carries out the command of a key that came alone; says whether the key is one here. */
  command(key: string): boolean;
  /** Takes characters that were typed as words. */
  words(characters: string): void;
  /** Calls back after so many milliseconds; returns how to call it off. */
  later(act: () => void, ms: number): () => void;
}

/**
 * Tells words from single-key commands: a key is a command only when no other comes close before or after it. Every key
 * of a burst goes to the words, the first one too, and what follows them until the hand rests. A key that is no command
 * here may be the first letter of a slow word: it waits for the next.
 */
export class Burst {
  private alone: string | null = null;
  /** Whether the key alone may still turn out to be the first of words: its command waits. */
  private waits = false;
  private callOff: (() => void) | null = null;
  private last = -Infinity;
  private inWords = false;

  constructor(private readonly world: BurstWorld) {}

  /** Whether words are being typed at this time. */
  isTyping(at: number): boolean {
    return this.waits || at - this.last < (this.inWords ? WORDS_REST_MS : TOGETHER_MS);
  }

  /** A key went into the words by itself: what comes close after it is no command, should the field be gone. */
  note(at: number): void {
    this.last = at;
    this.inWords = true;
  }

  /** Words ended by something that is none of them, a click or a key such as Escape: the next key may be a command. */
  rest(): void {
    this.last = -Infinity;
    this.inWords = false;
    if (!this.waits) this.alone = null;
  }

  /** A printable key at a time in milliseconds. */
  key(key: string, at: number): void {
    const together = this.isTyping(at);
    this.last = at;
    this.callOff?.();
    this.waits = false;
    if (together) {
      this.inWords = true;
      this.world.words((this.alone ?? '') + key);
      this.alone = null;
      return;
    }
    this.inWords = false;
    this.alone = key;
    this.waits = true;
    this.callOff = this.world.later(() => {
      this.waits = false;
      // What comes after a command that was carried out is no part of it.
      if (this.world.command(key)) this.rest();
      else this.inWords = true;
    }, TOGETHER_MS);
  }
}
