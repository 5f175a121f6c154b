/**
 * Input from outside that cannot be used. `path` says where (`checks[2].result`), `message` what is wrong and
 * how to mend it, in one line.
 */
export class BadInput extends Error {
  override readonly name = 'BadInput';
  constructor(
    readonly path: string,
    readonly what: string,
    readonly problems: ReadonlyArray<{ path: string; message: string }> = [{ path, message: what }],
  ) {
    super(path ? `${path}: ${what}` : what);
  }
}
