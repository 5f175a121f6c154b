/** What went wrong with a device, and what to do about it: words for whoever stands beside it. */
export type TroubleKind = 'unreachable' | 'silent' | 'gone' | 'garbage' | 'refused' | 'stopped';

/** A device that cannot be worked with as asked. `message` is one sentence to show. */
export class DeviceTrouble extends Error {
  readonly kind: TroubleKind;
  constructor(kind: TroubleKind, message: string) {
    super(message);
    this.name = 'DeviceTrouble';
    this.kind = kind;
  }
}
