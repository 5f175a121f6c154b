import type { z } from 'zod';
import {
  BenchBus,
  BenchFound,
  BenchState,
  type BenchDrive,
  type BenchEnd,
  type BenchProbes,
  type BenchVehicleOrder,
  type BenchWork,
} from '@hardy/core/bench';
import { askJson } from '../wire/askJson.ts';

/** The bench that stands in for a vehicle. All calls throw DeviceTrouble with a sentence to show. */
export interface Bench {
  state(): Promise<BenchState>;
  /** What runs over its bus, as a frame log. */
  bus(): Promise<string>;
  put(vehicle: BenchVehicleOrder): Promise<BenchState>;
  drive(drive: z.infer<typeof BenchDrive>['drive']): Promise<BenchState>;
  /** To the end of a drive at once. */
  skip(): Promise<BenchState>;
  mend(work: BenchWork): Promise<BenchState>;
  probe(probes: BenchProbes): Promise<BenchState>;
  /** What a check found; null where it told nothing. */
  check(check: string, wheelEnd: BenchEnd): Promise<Record<string, unknown> | null>;
}

/** A life must be found that fits: that may take some seconds. */
const PATIENCE_MS = 15_000;
/** How it stands is told at once: whoever looks at all devices does not wait longer for one that hangs. */
const LOOK_MS = 3000;

export const benchAt = (url: string): Bench => {
  const ask = <S extends z.ZodType>(path: string, answer: S, body?: unknown, withinMs = PATIENCE_MS) =>
    askJson({ name: 'bench', url: `${url}${path}`, answer, body, withinMs });
  return {
    state: () => ask('/state', BenchState, undefined, LOOK_MS),
    bus: async () => (await ask('/frame-log', BenchBus)).log,
    put: (vehicle) => ask('/vehicle', BenchState, vehicle),
    drive: (drive) => ask('/drive', BenchState, { drive }),
    skip: () => ask('/skip', BenchState, {}),
    mend: (work) => ask('/work', BenchState, work),
    probe: (probes) => ask('/probes', BenchState, probes),
    check: async (check, wheelEnd) => (await ask('/check', BenchFound, { check, wheelEnd })).found,
  };
};
