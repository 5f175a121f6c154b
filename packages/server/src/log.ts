const OURS = /packages\/\w+\/src\/[^\s)]+/g;
/** So many places of a fault are told. */
const MOST_PLACES = 6;

/**
 * Tells a fault without what it was about: what it is, its code, and where in our own files it came from. Messages of
 * the database and of parsers carry the sentence and the values they broke on, and those are a customer’s.
 */
export const faultInWords = (error: unknown, at: Date = new Date()): string => {
  const { name, code, stack }: Told = isLikeError(error) ? error : { name: typeof error };
  const places = [...new Set((stack ?? '').match(OURS) ?? [])].slice(0, MOST_PLACES);
  return [at.toISOString(), 'fault', name, code, places.length > 0 ? `at ${places.join(' < ')}` : '']
    .filter(Boolean)
    .join(' ');
};

interface Told {
  readonly name: string;
  readonly code?: string | undefined;
  readonly stack?: string | undefined;
}

/** An error of another context, such as that of a thread. */
const isLikeError = (error: unknown): error is Told =>
  typeof error === 'object' && error !== null && 'name' in error && 'stack' in error;

/** Writes what an operator should know where the server’s words go: one line, nothing of a customer. */
export const logNotice = (line: string, at: Date = new Date()): void => {
  process.stderr.write(`${at.toISOString()} notice ${line.replace(/\s+/g, ' ')}\n`);
};

/** Writes a fault where the server’s words go. */
export const logFault = (error: unknown): void => {
  process.stderr.write(`${faultInWords(error)}\n`);
};
