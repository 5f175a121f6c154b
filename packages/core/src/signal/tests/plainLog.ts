/**
 * A second, plainer maker of logs that shares nothing with the generator, so that the study is not fitted to one idea
 * of a fault: speed swells and falls, readings are instants, noise comes from a linear congruence.
 */
export interface PlainLog {
  readonly seconds: number;
  readonly rateHz: number;
  readonly slow: number;
  readonly fast: number;
  readonly noise: number;
  readonly wheels: readonly string[];
  readonly seed?: number;
  readonly bends?: boolean;
  readonly circumference?: number;
  /** Reading from the true speed, the distance rolled (m), the time (s) and an even chance. */
  readonly faults?: Readonly<
    Record<string, (kmh: number, metres: number, t: number, chance: () => number) => number>
  >;
}

export const plainLog = (log: PlainLog): string => {
  let state = log.seed ?? 1;
  const chance = () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
  const bell = () => chance() + chance() + chance() + chance() - 2;
  const rows = [`time_s,${log.wheels.map((w) => `${w}_kmh`).join(',')},steering_deg`];
  const metres = log.wheels.map(() => chance() * 2);
  const dt = 1 / log.rateHz;
  for (let i = 0; i < log.seconds * log.rateHz; i++) {
    const t = i * dt;
    const middle = (log.slow + log.fast) / 2;
    const v = middle + ((log.fast - log.slow) / 2) * Math.sin(t / 9) * (0.8 + 0.2 * Math.sin(t / 23));
    const bend =
      log.bends === false ? 0 : Math.max(0, Math.sin(t / 6) - 0.6) * (Math.sin(t / 31) > 0 ? 1 : -1);
    const read = log.wheels.map((wheel, w) => {
      const side = wheel.endsWith('L') ? -1 : 1;
      const kmh = v * (1 + side * 0.06 * bend) * (wheel.startsWith('A1') ? 1 + 0.01 * Math.abs(bend) : 1);
      metres[w] = (metres[w] as number) + (kmh / 3.6) * dt;
      const fault = log.faults?.[wheel];
      const reading = fault ? fault(kmh, metres[w], t, chance) : kmh;
      return Math.max(0, reading > 0 ? reading + bell() * log.noise * 1.73 : 0).toFixed(2);
    });
    rows.push([t.toFixed(3), ...read, (bend * 90).toFixed(0)].join(','));
  }
  return rows.join('\n');
};

/** A dip each time the bad place of the wheel comes by. */
export const crack =
  (circumference: number, width: number, depth: number, place = 0.3) =>
  (kmh: number, metres: number): number => {
    const turn = (((metres / circumference - place) % 1) + 1) % 1;
    return turn < width ? kmh * (1 - depth) : kmh;
  };
