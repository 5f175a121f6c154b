/** Starts the devices that stand in, and writes the start-up file that names them. */
export function startStandIns(file: string): Promise<{
  readonly file: string;
  readonly named: Readonly<Record<string, unknown>>;
  readonly stop: () => void;
}>;
