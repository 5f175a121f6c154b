/** The database file is no longer the one that was opened: nothing may be written into a file nobody looks at. */
export class DatabaseMoved extends Error {
  readonly code = 'HARDY_MOVED';
  constructor() {
    super('the database was moved or replaced under the running server');
  }
}
