import { BadInput, CATALOGUE_TABLES } from '@hardy/core';
import type { ImportMode, ImportProgress, ImportReport } from '@hardy/core/contract';
import { randomUUID } from 'node:crypto';
import { createWriteStream, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Worker } from 'node:worker_threads';
import { notFound, problem } from '../problem.ts';
import type { Store } from '../store/openStore.ts';
import { startWorker } from '../workers/startWorker.ts';
import type { ImportTask, ImportWord } from './importWorker.ts';

const FILES: readonly string[] = [...CATALOGUE_TABLES.map(({ file }) => file), 'manifest.json'];
/** A file of a catalogue is no larger, in bytes. */
const LARGEST_FILE = 500_000_000;
/** What the thread of an import may take, in megabytes of its heap. */
const MEMORY_MB = 300;

/** Names the import that runs. */
const UNDER_WAY = 'under-way';

const RESTARTED =
  'The server was started anew while this import was under way: nothing of it went in. Send the files again.';

interface Import {
  readonly id: string;
  readonly folder: string;
  state: ImportProgress['state'];
  progress: number;
  report: ImportReport | null;
  problem: string | null;
  worker: Worker | null;
}

const busy = (what: string) => problem(409, 'An import is under way', what);

/** Counts what passes and stops where it is too much. */
const capped = (file: string): Transform => {
  let bytes = 0;
  return new Transform({
    transform(piece: Buffer, _encoding, done) {
      bytes += piece.length;
      done(
        bytes > LARGEST_FILE
          ? problem(413, 'Too large', `${file} is larger than ${LARGEST_FILE / 1e6} MB; send it in parts`)
          : null,
        piece,
      );
    },
  });
};

/**
 * Imports, one at a time: waiting for files, uploading, ready, running, then done, failed or cancelled. The rows go into
 * a copy of the catalogue in a thread of their own, while everybody works on the one in use; where all went well the copy
 * takes its place at once. A stopped import, or one whose server dies, leaves nothing.
 */
export class ImportDesk {
  private now: Import | null = null;
  private readonly folder: string;

  constructor(
    private readonly store: Store,
    private readonly went: {
      /** Called before anything is changed. @throws where no backup can be made */
      before(): Promise<unknown>;
      in(): void;
      wrong(error: unknown): void;
    },
  ) {
    this.folder = `${store.file}.imports`;
    this.now = this.leftBehind();
  }

  /** What an import of a server that is no more left: told, and swept. */
  private leftBehind(): Import | null {
    const note = join(this.folder, UNDER_WAY);
    const id = existsSync(note) ? readFileSync(note, 'utf8') : null;
    rmSync(this.folder, { recursive: true, force: true });
    if (!id) return null;
    return {
      id,
      folder: '',
      state: 'failed',
      progress: 0,
      report: null,
      problem: RESTARTED,
      worker: null,
    };
  }

  /** The newest import; null where there was none since the server began. */
  current(): Import | null {
    return this.now;
  }

  find(id: string): Import {
    if (this.now?.id !== id) throw notFound(`import ${id}`);
    return this.now;
  }

  /** Begins one. One that only waits gives way; one that sends or runs does not. */
  begin(): string {
    if (this.now?.state === 'uploading' || this.now?.state === 'running')
      throw busy('one import at a time: wait until the other is done, or stop it');
    this.leave();
    const id = randomUUID();
    const folder = join(this.folder, id);
    mkdirSync(folder, { recursive: true, mode: 0o700 });
    this.now = { id, folder, state: 'waiting', progress: 0, report: null, problem: null, worker: null };
    return id;
  }

  /** Takes one file. */
  async take(id: string, file: string, body: Readable): Promise<void> {
    const its = this.find(id);
    if (!FILES.includes(file))
      throw new BadInput(file, `is no file of a catalogue; give ${FILES.join(', ')}`);
    if (its.state !== 'waiting' && its.state !== 'ready')
      throw busy(
        its.state === 'uploading'
          ? 'another file is being sent to it; send them one after another'
          : `it takes no more files: it is ${its.state}`,
      );
    const before = its.state;
    its.state = 'uploading';
    const path = join(its.folder, file);
    try {
      await pipeline(body, capped(file), createWriteStream(path));
      // Stopped meanwhile: it stays stopped.
      if (its.state === 'uploading') its.state = 'ready';
    } catch (error) {
      if (its.state === 'uploading') its.state = before;
      await rm(path, { force: true });
      throw error;
    }
  }

  /** Begins to bring the files in. */
  run(id: string, mode: ImportMode): void {
    const its = this.find(id);
    if (its.state !== 'ready')
      throw busy(
        its.state === 'waiting'
          ? 'nothing was sent to it yet; send the files first'
          : its.state === 'uploading'
            ? 'a file is still being sent to it; wait until it is here'
            : `it is ${its.state} already`,
      );
    its.state = 'running';
    this.note(id);
    void this.work(its, mode);
  }

  private async work(its: Import, mode: ImportMode): Promise<void> {
    let to: string;
    try {
      await this.went.before();
      to = await this.store.catalogue.copy();
    } catch (error) {
      this.went.wrong(error);
      if (its.state === 'running')
        this.end(
          its,
          'failed',
          'No backup could be made before it, so nothing was changed; is the disk full?',
        );
      return;
    }
    // Stopped meanwhile.
    if (its.state !== 'running') return rmSync(to, { force: true });
    const task: ImportTask = { to, folder: its.folder, mode };
    const worker = startWorker(new URL('../workers/importThread.mjs', import.meta.url), task, MEMORY_MB);
    its.worker = worker;
    const failed = (why: string, error?: unknown) => {
      if (its.state !== 'running') return;
      if (error) this.went.wrong(error);
      this.end(its, 'failed', why);
    };
    worker.on('message', (word: ImportWord) => {
      if ('progress' in word) its.progress = word.progress;
      else if ('report' in word) void this.finish(its, to, word.report);
      else if (word.ours) failed('The files could not be read.', new Error(word.problem));
      else failed(word.problem);
    });
    worker.on('error', (error) => failed('The files could not be read.', error));
    worker.on('exit', () => {
      its.worker = null;
      // What it reported is on its way in, or in.
      if (its.report && its.state !== 'cancelled') return;
      failed('The import ended before it was done; nothing went in.');
      rmSync(to, { force: true });
    });
  }

  private async finish(its: Import, to: string, report: ImportReport): Promise<void> {
    // Stopped in the last moment is stopped.
    if (its.state !== 'running') return;
    its.report = report;
    try {
      if (report.written) await this.store.catalogue.change(to);
      else rmSync(to, { force: true });
      its.progress = 1;
      this.end(its, 'done', null);
      if (report.written) this.went.in();
    } catch (error) {
      this.went.wrong(error);
      its.report = null;
      this.end(its, 'failed', 'The catalogue could not be exchanged; the former one stands.');
    }
  }

  private end(its: Import, state: Import['state'], why: string | null): void {
    its.state = state;
    its.problem = why;
    rmSync(join(this.folder, UNDER_WAY), { force: true });
    rmSync(its.folder, { recursive: true, force: true });
  }

  /** Stops one, wherever it is: nothing of it goes in. One that is over is left as it is. */
  async stop(id: string): Promise<void> {
    const its = this.find(id);
    if (['done', 'failed', 'cancelled'].includes(its.state)) return;
    // What is being put in its place is in: the stop came too late.
    if (its.report) return;
    const { worker } = its;
    this.end(its, 'cancelled', null);
    await worker?.terminate();
  }

  private leave(): void {
    if (this.now?.folder) rmSync(this.now.folder, { recursive: true, force: true });
  }

  /** Stops what is under way and sweeps; the next server tells of it. To be waited for before the database is closed. */
  async close(): Promise<void> {
    const its = this.now;
    const wasRunning = its?.state === 'running';
    if (its) await this.stop(its.id);
    rmSync(this.folder, { recursive: true, force: true });
    if (its && wasRunning && its.state === 'cancelled') this.note(its.id);
  }

  /** Leaves word of one that runs, for the server that comes after this one. */
  private note(id: string): void {
    mkdirSync(this.folder, { recursive: true });
    writeFileSync(join(this.folder, UNDER_WAY), id);
  }
}
