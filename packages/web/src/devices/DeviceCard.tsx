import type { DeviceLine } from '@hardy/core/contract';
import { clock } from '../format.ts';

const MARK: Readonly<Record<DeviceLine['state'], string>> = {
  'not asked': '\u25CB',
  answers: '\u25CF',
  busy: '\u25D0',
  trouble: '\u25B2',
};
const WHO: Readonly<Record<DeviceLine['words'][number]['who'], string>> = {
  we: 'asked',
  it: 'said',
  trouble: 'trouble',
};
/** So many of the last words stand open; the others are folded away. */
const SHOWN = 2;

function Words({ words }: { words: DeviceLine['words'] }) {
  return (
    <ol className="device-words">
      {words.map(({ at, who, text }, i) => (
        <li key={`${at} ${i}`} className={who === 'trouble' ? 'look-here' : ''}>
          <span className="mono soft">{clock(at)}</span> <span className="soft">{WHO[who]}</span> {text}
        </li>
      ))}
    </ol>
  );
}

/** A supplier’s service in a line: its name, how it stands, what it said last. */
export function SupplierLine({ device: { name, state, words } }: { device: DeviceLine }) {
  const last = words.at(-1);
  return (
    <li className={state === 'trouble' ? 'supplier-line look-here' : 'supplier-line'}>
      <span>{name}</span>
      <span>
        <span aria-hidden="true">{MARK[state]}</span> {state}
      </span>
      <span className={state === 'trouble' ? '' : 'soft'}>{last?.text ?? 'nothing said yet'}</span>
    </li>
  );
}

/** One device: where it is, how it stands, and the last words exchanged. */
export function DeviceCard({ device }: { device: DeviceLine }) {
  const { name, at, state, words } = device;
  const earlier = words.slice(0, -SHOWN);
  return (
    <li className="device">
      <div className="row-head">
        <h3>{name}</h3>
        <span className={state === 'trouble' ? 'look-here' : ''}>
          <span aria-hidden="true">{MARK[state]}</span> {state}
        </span>
      </div>
      <p className="soft mono">{at}</p>
      {words.length === 0 ? (
        <p className="none">nothing said yet</p>
      ) : (
        <>
          {earlier.length > 0 && (
            <details>
              <summary>{earlier.length} earlier</summary>
              <Words words={earlier} />
            </details>
          )}
          <Words words={words.slice(-SHOWN)} />
        </>
      )}
    </li>
  );
}
