import type { Clash, DocketView } from '@hardy/core/contract';
import type { Advice, Docket, WheelEnd } from '@hardy/core/words';
import { ApiProblem, problemInWords } from '../api/client.ts';

/** One change of a docket as a person made it. */
export type Edit =
  | { readonly kind: 'change'; readonly label: string; readonly edit: (docket: Docket) => Docket }
  | {
      readonly kind: 'hear';
      readonly words: string;
      readonly moves: Readonly<Record<string, WheelEnd | null>>;
    }
  | { readonly kind: 'undo' }
  | { readonly kind: 'redo' };

/** A change that met a newer version: what each side has, for a person to choose. */
export interface Conflict extends Pick<Clash, 'theirs' | 'theirVersion' | 'differences'> {
  readonly label: string;
  readonly yours: Docket | null;
}

/** What a page shows of a docket whose changes are on their way. */
export interface Shown {
  /** The docket with every change made here on it, and the newest advice there is. */
  readonly view: DocketView;
  /** How many changes the server has not taken yet. */
  readonly waiting: number;
  readonly error: string | null;
  /** Whether the changes wait for the server to come back. */
  readonly held: boolean;
  readonly conflict: Conflict | null;
}

/** What the queue needs of the world. */
export interface QueueWorld {
  /** Sends one change, made on `view`. @throws ApiProblem */
  send(view: DocketView, edit: Edit, docket: Docket | null): Promise<DocketView>;
  /** The docket as the server has it. @throws ApiProblem */
  fetch(id: string): Promise<DocketView>;
  /** Advice on a docket that is not stored yet; null where it cannot be had here. */
  advise(id: string, docket: Docket): Promise<Advice | null>;
  /** Called at every change of what is to be shown. */
  show(shown: Shown): void;
}

interface Queued {
  readonly edit: Edit;
  readonly done: (taken: boolean) => void;
}

/**
 * The changes of one docket, sent in the order they were made, each on the version the one before made. What is shown
 * has all of them on it at once. A change that the server refuses is dropped alone and told; when the server is away all
 * wait; a change that met a newer version waits for a person to choose. Answers are of this docket by construction.
 */
export class EditQueue {
  private readonly queue: Queued[] = [];
  private sending = false;
  private held = false;
  private error: string | null = null;
  private conflict: Conflict | null = null;
  /** The version known here is not the newest: it is fetched before anything else is sent. */
  private stale = false;
  /** Advice on the docket as it is shown, worked out before the server answered. */
  private ahead: Advice | null = null;
  private thoughts = 0;

  constructor(
    private base: DocketView,
    private readonly world: QueueWorld,
  ) {}

  /** The docket with the changes that are still on their way. */
  private docket(): Docket {
    return this.queue.reduce(
      (docket, { edit }) => (edit.kind === 'change' ? edit.edit(docket) : docket),
      this.base.docket,
    );
  }

  shown(): Shown {
    const docket = this.docket();
    const changed = this.queue.some(({ edit }) => edit.kind === 'change');
    return {
      view: changed ? { ...this.base, docket, advice: this.ahead ?? this.base.advice } : this.base,
      waiting: this.queue.length,
      error: this.error,
      held: this.held,
      conflict: this.conflict,
    };
  }

  private show(): void {
    this.world.show(this.shown());
  }

  /** A newer state of the docket came from the server by itself. Changes on their way stay on top of it. */
  take(view: DocketView): void {
    if (this.sending || this.conflict || view.version < this.base.version) return;
    this.base = view;
    this.show();
  }

  /** Puts a change at the end. Answers whether the server took it. */
  push(edit: Edit): Promise<boolean> {
    return new Promise((done) => {
      if (edit.kind === 'hear') this.forgetWords(edit.words);
      this.queue.push({ edit, done });
      // Whoever goes on working wants to know whether the server is back.
      this.held = false;
      if (edit.kind === 'change') this.thinkAhead();
      this.show();
      void this.work();
    });
  }

  /** Words sent once more while they still wait are said once. */
  private forgetWords(words: string): void {
    const at = this.queue.findIndex(({ edit }) => edit.kind === 'hear' && edit.words === words);
    if (at < 0 || (at === 0 && this.sending)) return;
    this.queue.splice(at, 1)[0]?.done(false);
  }

  /** The answer is worked out in the page at once; what the server says a moment later stands. */
  private thinkAhead(): void {
    const mine = ++this.thoughts;
    void this.world.advise(this.base.id, this.docket()).then((advice) => {
      // A slower answer to an older docket comes too late.
      if (!advice || mine !== this.thoughts || this.queue.length === 0) return;
      this.ahead = advice;
      this.show();
    });
  }

  /** Tries again what waits for the server. */
  retry(): void {
    this.held = false;
    this.error = null;
    this.show();
    void this.work();
  }

  /** A person has read what went wrong. */
  dismiss(): void {
    this.error = null;
    this.show();
  }

  /** A person chose between two versions: theirs as it is, or theirs with this change on top. */
  async resolve(keep: 'mine' | 'theirs'): Promise<void> {
    const { conflict } = this;
    const first = this.queue[0];
    if (!conflict || !first) return;
    this.conflict = null;
    if (keep === 'theirs') {
      this.queue.shift();
      first.done(false);
    } else if (conflict.yours) {
      const { yours } = conflict;
      this.queue[0] = { ...first, edit: { kind: 'change', label: conflict.label, edit: () => yours } };
    }
    await this.again();
  }

  private async work(): Promise<void> {
    if (this.sending || this.held || this.conflict) return;
    const first = this.queue[0];
    if (!first) return;
    this.sending = true;
    const { edit } = first;
    const yours = edit.kind === 'change' ? edit.edit(this.base.docket) : null;
    try {
      this.base = await this.world.send(this.base, edit, yours);
      this.queue.shift();
      if (this.queue.length === 0) this.ahead = null;
      this.error = null;
      first.done(true);
    } catch (problem) {
      this.failed(problem, first, yours);
    }
    this.sending = false;
    if (this.stale) return this.again();
    this.show();
    void this.work();
  }

  private failed(problem: unknown, first: Queued, yours: Docket | null): void {
    if (problem instanceof ApiProblem && problem.status === 409) {
      const { theirs, theirVersion, differences } = problem.more as unknown as Clash;
      const { edit } = first;
      const label = edit.kind === 'change' ? edit.label : edit.kind === 'hear' ? edit.words : edit.kind;
      // Words are heard again on the newest version, and a step back has another meaning there: neither is a choice.
      if (edit.kind === 'hear') {
        this.stale = true;
        return;
      }
      this.conflict = { theirs, theirVersion, differences, label, yours };
      return;
    }
    this.error = problemInWords(problem);
    // Without a server everything waits; what it refuses goes alone, and what came after it is tried.
    if (problem instanceof ApiProblem && (problem.status === 0 || problem.status >= 500)) {
      this.held = true;
      return;
    }
    this.queue.shift();
    this.ahead = null;
    first.done(false);
  }

  /** Fetches the newest version and tries the first change on it. Nothing is sent on the old one meanwhile. */
  private async again(): Promise<void> {
    this.stale = false;
    this.sending = true;
    try {
      this.base = await this.world.fetch(this.base.id);
    } catch (problem) {
      this.held = true;
      this.error = problemInWords(problem);
    }
    this.sending = false;
    this.show();
    void this.work();
  }
}
