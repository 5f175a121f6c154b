import { BadInput } from '@hardy/core';

/** An error as it is sent from a worker thread: the structured clone of an error loses its class and its fields. */
export type SentError =
  | {
      readonly kind: 'bad-input';
      readonly path: string;
      readonly what: string;
      readonly problems: BadInput['problems'];
    }
  | {
      readonly kind: 'fault';
      readonly name: string;
      readonly message: string;
      readonly stack: string | undefined;
    };

/** Prepares an error for another thread. */
export const sendError = (error: unknown): SentError => {
  if (error instanceof BadInput)
    return { kind: 'bad-input', path: error.path, what: error.what, problems: error.problems };
  const { name, message, stack } = error instanceof Error ? error : new Error(String(error));
  return { kind: 'fault', name, message, stack };
};

/** Makes the error again that another thread sent. */
export const receivedError = (sent: SentError): Error => {
  if (sent.kind === 'bad-input') return new BadInput(sent.path, sent.what, sent.problems);
  const error = new Error(sent.message);
  error.name = sent.name;
  if (sent.stack !== undefined) error.stack = sent.stack;
  return error;
};
