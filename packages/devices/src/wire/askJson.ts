import type { ReadableStream } from 'node:stream/web';
import { z } from 'zod';
import { startDeadline } from './deadline.ts';
import { DeviceTrouble } from './deviceTrouble.ts';

interface Question<S extends z.ZodType> {
  /** What it is called in a sentence. */
  readonly name: string;
  readonly url: string;
  readonly answer: S;
  /** Absent: it is only read. */
  readonly body?: unknown;
  readonly withinMs: number;
  readonly signal?: AbortSignal | undefined;
}

/** An answer that is longer is none. */
const MOST_BYTES = 4 << 20;
const Refusal = z.object({ refused: z.string().min(1).max(400) });

const readWhole = async (response: Response, name: string): Promise<string> => {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = (response.body as ReadableStream<Uint8Array> | null)?.getReader();
  for (let read = await reader?.read(); read && !read.done; read = await reader?.read()) {
    size += read.value.length;
    if (size > MOST_BYTES) {
      await reader?.cancel();
      throw new DeviceTrouble('garbage', `The ${name} answers without end. Is it the right address?`);
    }
    chunks.push(read.value);
  }
  return new TextDecoder().decode(Buffer.concat(chunks));
};

/**
 * Whether a kept connection broke without an answer: the other side closes idle ones as it likes, and what is sent on one
 * just then is lost. An address that is not there, or a redirect, is another matter.
 */
const isBroken = (error: unknown): boolean => {
  const { code } = ((error as { cause?: unknown } | null)?.cause ?? {}) as { code?: unknown };
  return code === 'UND_ERR_SOCKET' || code === 'ECONNRESET' || code === 'EPIPE';
};

/**
 * Asks a service that speaks JSON over HTTP and checks what it answers. It follows no redirect: a host that is not in the
 * start-up file is never reached. What is only read is asked a second time when the connection broke.
 * @throws DeviceTrouble
 */
export const askJson = async <S extends z.ZodType>({
  name,
  url,
  answer,
  body,
  withinMs,
  signal,
}: Question<S>): Promise<z.output<S>> => {
  const deadline = startDeadline(withinMs, signal);
  let status: number;
  let text: string;
  try {
    const isRead = body === undefined;
    const asked = async () => {
      const response = await fetch(url, {
        method: isRead ? 'GET' : 'POST',
        ...(isRead ? {} : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
        redirect: 'error',
        signal: deadline.signal,
      });
      return [response.status, await readWhole(response, name)] as const;
    };
    const askedAgain = (error: unknown) => {
      if (isRead && isBroken(error) && !deadline.signal.aborted) return asked();
      throw error;
    };
    [status, text] = await Promise.race([asked().catch(askedAgain), deadline.ended]);
  } catch (error) {
    if (error instanceof DeviceTrouble) throw error;
    if (signal?.aborted) throw new DeviceTrouble('stopped', 'Stopped.');
    if (deadline.isLate()) throw new DeviceTrouble('silent', `The ${name} did not answer in time.`);
    throw new DeviceTrouble('unreachable', `The ${name} cannot be reached. Is it switched on?`);
  } finally {
    deadline.clear();
  }
  let said: unknown;
  try {
    said = JSON.parse(text);
  } catch {
    throw new DeviceTrouble('garbage', `The ${name} sent what cannot be read.`);
  }
  if (status >= 400) {
    const refusal = Refusal.safeParse(said);
    throw refusal.success
      ? new DeviceTrouble('refused', refusal.data.refused)
      : new DeviceTrouble('refused', `The ${name} refused (${status}).`);
  }
  const read = answer.safeParse(said);
  if (!read.success) throw new DeviceTrouble('garbage', `The ${name} answers other things than were asked.`);
  return read.data;
};
