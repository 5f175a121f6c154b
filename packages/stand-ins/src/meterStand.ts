import { createServer, type Server } from 'node:net';
import { QUERIES, TEMPERATURE_QUERY } from '@hardy/devices';
import { BENCH_CELSIUS, type BenchStation } from './benchStation.ts';

/** SCPI says so that the range was passed. */
const OVER = '+9.90000000E+37';
const MOST_LINE = 500;

const written = (value: number): string =>
  Number.isFinite(value) && Math.abs(value) < 1e9 ? value.toExponential(6) : OVER;

/** A bench meter whose probes are on the bench vehicle: queries by SCPI in lines. Errors queue up and are asked for. */
export const meterStand = (station: BenchStation): Server =>
  createServer((socket) => {
    socket.setNoDelay(true);
    let kept = '';
    const errors: string[] = [];
    const answer = (line: string): string | null => {
      const query = line.trim().toUpperCase();
      switch (query) {
        case '':
          return null;
        case '*IDN?':
          return 'Harbour bench,M1,0,1.0';
        case '*RST':
        case '*CLS':
          errors.length = 0;
          return null;
        case 'SYST:ERR?':
          return errors.shift() ?? '0,"No error"';
        case QUERIES.ohms:
          return written(station.ohms());
        case QUERIES.voltsDc:
          return written(station.voltsDc());
        case QUERIES.voltsAc:
          return written(station.voltsAc());
        case TEMPERATURE_QUERY:
          return written(BENCH_CELSIUS);
        default:
          errors.push('-113,"Undefined header"');
          return null;
      }
    };
    socket.on('error', () => socket.destroy());
    socket.on('data', (chunk) => {
      kept += chunk.toString('latin1');
      if (kept.length > MOST_LINE && !kept.includes('\n')) {
        socket.destroy();
        return;
      }
      for (let end = kept.indexOf('\n'); end >= 0; end = kept.indexOf('\n')) {
        const said = answer(kept.slice(0, end));
        kept = kept.slice(end + 1);
        if (said !== null) socket.write(`${said}\n`);
      }
    });
  });
