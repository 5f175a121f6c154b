/** What a key does on the screen that is shown. Keys as `KeyboardEvent.key`, `ctrl+` before those held with Control. */
export type Commands = Readonly<Record<string, () => void>>;

/** The screens' keys, the newest last: the newest screen's key wins. */
const screens: Array<{ readonly current: Commands }> = [];

/** Registers the keys of a screen; what it returns takes them away. */
export const addCommands = (commands: { readonly current: Commands }): (() => void) => {
  screens.push(commands);
  return () => void screens.splice(screens.indexOf(commands), 1);
};

/** What `key` does now, if anything. */
export const commandFor = (key: string): (() => void) | undefined =>
  screens.findLast(({ current }) => current[key])?.current[key];
