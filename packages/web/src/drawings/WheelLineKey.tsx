import './drawings.css';
import { wheelLine } from './wheelLines.ts';

/** The line of a wheel and its name, for the key of a picture. */
export function WheelLineKey({ name, i, chosen }: { name: string; i: number; chosen: boolean }) {
  const { colour, dash, width } = wheelLine(i, chosen);
  return (
    <li className={chosen ? 'look-here' : ''}>
      <svg width="30" height="8" aria-hidden="true">
        <line
          x1="0"
          x2="30"
          y1="4"
          y2="4"
          stroke={colour}
          strokeWidth={width * 1.25}
          strokeDasharray={dash.join(' ') || undefined}
        />
      </svg>{' '}
      {name}
    </li>
  );
}
