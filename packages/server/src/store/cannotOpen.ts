/** A database that cannot be opened, with its path and what to do, in one sentence. Nothing was changed. */
export class CannotOpen extends Error {
  constructor(
    readonly file: string,
    readonly reason: string,
  ) {
    super(`the database ${file} cannot be opened: ${reason}`);
  }
}
