import { BadInput } from '@hardy/core';
import { readFileSync } from 'node:fs';
import { z } from 'zod';

const host = z
  .string()
  .min(1)
  .max(253)
  .regex(/^[A-Za-z0-9.:-]+$/, 'is no host');
const port = z.number().int().min(1).max(65535);
const url = z
  .url({ protocol: /^https?$/ })
  .max(300)
  .transform((text) => text.replace(/\/+$/, ''));

const Controller = z.strictObject({
  name: z.string().min(1).max(80),
  address: z.number().int().min(0).max(0xffff),
  /** It is asked for the wheel speeds. */
  wheelSpeeds: z.boolean().optional(),
});

/** The start-up file: the only place where a device or another host can be named. */
export const DeviceFile = z.strictObject({
  reader: z.strictObject({ host, port, controllers: z.array(Controller).min(1).max(60) }).optional(),
  meter: z.strictObject({ host, port }).optional(),
  /** The stand-in for a vehicle, on this machine. */
  bench: z.strictObject({ url }).optional(),
  /** By the supplier's name in the catalogue. */
  suppliers: z.record(z.string().min(1).max(80), z.strictObject({ url })).optional(),
});
export type DeviceFile = z.infer<typeof DeviceFile>;

const OWN: ReadonlySet<string> = new Set(['127.0.0.1', '::1', 'localhost']);
const hostOf = (address: string): string => new URL(address).hostname.replace(/^\[|\]$/g, '');
const hostsOf = ({ reader, meter, bench, suppliers }: DeviceFile): string[] => [
  ...(reader ? [reader.host] : []),
  ...(meter ? [meter.host] : []),
  ...[...(bench ? [bench] : []), ...Object.values(suppliers ?? {})].map((each) => hostOf(each.url)),
];

/**
 * Reads the start-up file.
 * @param onlyHere the demonstration reaches no other host, whatever the file says
 * @throws BadInput with one sentence
 */
export const readDeviceFile = (path: string, onlyHere: boolean): DeviceFile => {
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    throw new BadInput(`the file of devices ${path}`, `cannot be read; check its path`);
  }
  let said: unknown;
  try {
    said = JSON.parse(text);
  } catch {
    throw new BadInput(`the file of devices ${path}`, `is no JSON; see docs/formats.md for its form`);
  }
  const file = DeviceFile.safeParse(said);
  if (!file.success)
    throw new BadInput(`the file of devices ${path}`, `${z.prettifyError(file.error).replace(/\s+/g, ' ')}`);
  const away = hostsOf(file.data).find((each) => !OWN.has(each));
  if (away && onlyHere)
    throw new BadInput(
      `the file of devices ${path}`,
      `names ${away}; the demonstration reaches no other host than this one`,
    );
  const { bench } = file.data;
  if (bench && !OWN.has(hostOf(bench.url)))
    throw new BadInput(
      `the file of devices ${path}`,
      `has another host for the bench; it stands in on this machine only`,
    );
  return file.data;
};
