import { benchControl } from './benchControl.ts';
import { BenchStation } from './benchStation.ts';
import { listenHere, sayWhere, untilStopped } from './here.ts';
import { meterStand } from './meterStand.ts';
import { ADDRESS, readerStand } from './readerStand.ts';

/*
 * The bench as a process of its own: a vehicle, a reader and a meter plugged into it, and its switches. On this machine alone.
 */
const station = new BenchStation();
const servers = [
  await listenHere(readerStand(station)),
  await listenHere(meterStand(station)),
  await listenHere(benchControl(station).callback()),
] as const;
const [reader, meter, control] = servers.map(({ port }) => port);
sayWhere({
  reader: {
    host: '127.0.0.1',
    port: reader,
    controllers: [
      { name: 'ABS', address: ADDRESS.brakes, wheelSpeeds: true },
      { name: 'Engine', address: ADDRESS.engine },
      { name: 'Gearbox', address: ADDRESS.gearbox },
    ],
  },
  meter: { host: '127.0.0.1', port: meter },
  bench: { url: `http://127.0.0.1:${control}` },
});
untilStopped(servers.map(({ server }) => server));
