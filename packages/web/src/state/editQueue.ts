import type { Clash, DocketView } from '@hardy/core/contract';
import {
  isSame,
  mergeThree,
  settleClashes,
  type Advice,
  type Docket,
  type MergeClash,
  type WheelEnd,
} from '@hardy/core/words';
import { ApiProblem, problemInWords } from '../api/client.ts';

interface Words {
  readonly kind: 'hear';
  readonly words: string;
  readonly moves: Readonly<Record<string, WheelEnd | null>>;
}
interface StepBack {
  readonly kind: 'undo' | 'redo';
}

/** One change of a docket as a person made it. */
export type Edit =
  | { readonly kind: 'change'; readonly label: string; readonly edit: (docket: Docket) => Docket }
  | Words
  | StepBack;

/** A change as it waits: what the docket was before it and after it, so that it can be put on any other version. */
export interface DocketChange {
  readonly kind: 'change';
  readonly label: string;
  readonly before: Docket;
  readonly after: Docket;
}

/** A change that waits for the server, with the name by which one sent twice is made once. */
export type QueuedEdit = (DocketChange | Words | StepBack) & { readonly changeId: string };

/** A change that met another of the same fields, for a person to choose. */
export interface Conflict {
  readonly label: string;
  readonly theirs: Docket;
  /** Both put together, with theirs at each place to be chosen; null: a step back that has another meaning there. */
  readonly merged: Docket | null;
  readonly clashes: readonly MergeClash[];
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
  send(view: DocketView, edit: QueuedEdit, docket: Docket | null): Promise<DocketView>;
  /** The docket as the server has it. @throws ApiProblem */
  fetch(id: string): Promise<DocketView>;
  /** Advice on a docket that is not stored yet; null where it cannot be had here. */
  advise(id: string, docket: Docket): Promise<Advice | null>;
  /** Called at every change of what is to be shown. */
  show(shown: Shown): void;
  /** Keeps what waits, for a page that is loaded anew. */
  keep(edits: readonly QueuedEdit[]): void;
  /** Calls back when the server answers again. */
  whenBack(then: () => void): void;
  /** A name no other change has. */
  name(): string;
}

interface Queued {
  readonly edit: QueuedEdit;
  readonly done: (taken: boolean) => void;
}

const laidOn = (docket: Docket, { before, after }: DocketChange) => mergeThree(before, after, docket);

/** A docket with a change on it; where both changed the same, as the change has it. */
const changed = (docket: Docket, change: DocketChange): Docket => {
  const { merged, clashes } = laidOn(docket, change);
  return settleClashes(merged, clashes);
};

/**
 * The changes of one docket, sent in the order they were made, each on the version the one before made. What is shown
 * has all of them on it at once. A change that the server refuses is dropped alone and told; when the server is away all
 * wait, over a reload too, and go when it is back; where someone else changed the same a person chooses, field by field.
 * Answers are of this docket by construction.
 */
export class EditQueue {
  private queue: Queued[];
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
    /** What waited when the page was left. */
    left: readonly QueuedEdit[] = [],
  ) {
    this.queue = left.map((edit) => ({ edit, done: () => undefined }));
    if (left.length === 0) return;
    this.thinkAhead();
    void this.work();
  }

  /** The docket with the changes that are still on their way. */
  private docket(): Docket {
    return this.queue.reduce(
      (docket, { edit }) => (edit.kind === 'change' ? changed(docket, edit) : docket),
      this.base.docket,
    );
  }

  shown(): Shown {
    const isChanged = this.queue.some(({ edit }) => edit.kind === 'change');
    return {
      view: isChanged
        ? { ...this.base, docket: this.docket(), advice: this.ahead ?? this.base.advice }
        : this.base,
      waiting: this.queue.length,
      error: this.error,
      held: this.held,
      conflict: this.conflict,
    };
  }

  private show(): void {
    this.world.keep(this.queue.map(({ edit }) => edit));
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
      const queued = this.queued(edit);
      if (!queued) return done(true);
      if (edit.kind === 'hear') this.forgetWords(edit.words);
      this.queue.push({ edit: queued, done });
      // Whoever goes on working wants to know whether the server is back.
      this.held = false;
      if (edit.kind === 'change') this.thinkAhead();
      this.show();
      void this.work();
    });
  }

  /** A change as it can wait; null for one that changes nothing. */
  private queued(edit: Edit): QueuedEdit | null {
    const changeId = this.world.name();
    if (edit.kind !== 'change') return { ...edit, changeId };
    const before = this.docket();
    const after = edit.edit(before);
    return isSame(before, after) ? null : { kind: 'change', label: edit.label, before, after, changeId };
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

  /** A person chose: your value at these places, theirs at the others. */
  async resolve(chosen: readonly MergeClash[]): Promise<void> {
    const { conflict } = this;
    const first = this.queue[0];
    if (!conflict || !first) return;
    this.conflict = null;
    const { edit } = first;
    if (edit.kind !== 'change' || !conflict.merged) {
      this.queue.shift();
      first.done(false);
    } else {
      const after = settleClashes(conflict.merged, chosen);
      this.queue[0] = { ...first, edit: { ...edit, before: conflict.theirs, after } };
    }
    await this.again();
  }

  private async work(): Promise<void> {
    if (this.sending || this.held || this.conflict) return;
    const first = this.queue[0];
    if (!first) return;
    const { edit } = first;
    let docket: Docket | null = null;
    if (edit.kind === 'change') {
      const { merged, clashes } = laidOn(this.base.docket, edit);
      // While it waited someone else changed the same.
      if (clashes.length > 0) {
        this.conflict = { label: edit.label, theirs: this.base.docket, merged, clashes };
        return this.show();
      }
      docket = merged;
    }
    this.sending = true;
    try {
      // What changes nothing any more need not be sent.
      if (!docket || !isSame(docket, this.base.docket))
        this.base = await this.world.send(this.base, edit, docket);
      this.queue.shift();
      if (this.queue.length === 0) this.ahead = null;
      this.error = null;
      first.done(true);
    } catch (problem) {
      this.failed(problem, first);
    }
    this.sending = false;
    if (this.stale) return this.again();
    this.show();
    void this.work();
  }

  private failed(problem: unknown, first: Queued): void {
    const { edit } = first;
    // A refusal without both sides, such as an id that was used, is no choice for a person.
    if (problem instanceof ApiProblem && problem.status === 409 && 'theirs' in problem.more) {
      const { theirs, merged, clashes } = problem.more as unknown as Clash;
      // Words are heard again on the newest version.
      if (edit.kind === 'hear') {
        this.stale = true;
        return;
      }
      const label = edit.kind === 'change' ? edit.label : edit.kind;
      this.conflict = { theirs, merged, clashes, label };
      return;
    }
    this.error = problemInWords(problem);
    // Without a server everything waits; what it refuses goes alone, and what came after it is tried.
    if (problem instanceof ApiProblem && (problem.status === 0 || problem.status >= 500)) {
      this.held = true;
      this.world.whenBack(() => this.held && this.retry());
      return;
    }
    this.queue.shift();
    this.withoutIt();
    this.ahead = null;
    first.done(false);
  }

  /** A change went: those made after it are as they would have been made without it. */
  private withoutIt(): void {
    let docket = this.base.docket;
    this.queue = this.queue.map(({ edit, done }) => {
      if (edit.kind !== 'change') return { edit, done };
      const before = docket;
      docket = changed(before, edit);
      return { edit: { ...edit, before, after: docket }, done };
    });
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
      this.world.whenBack(() => this.held && this.retry());
    }
    this.sending = false;
    this.show();
    void this.work();
  }
}
