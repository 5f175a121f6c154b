import { CHECK_IN_WORDS, type Check } from '@hardy/core/plain';
import { pickableResults, checkWithMeasure, checkWithResult } from './checkResults.ts';
import { changed, wheelChoices, without, type FactListProps } from './factEdits.ts';
import { Fact } from './Fact.tsx';
import { InlineSelect, InlineText } from './Inline.tsx';

const numberOf = (check: Check): { value: number | null; unit: string } | null => {
  switch (check.check) {
    case 'meter.resistance':
      return typeof check.ohms === 'number' ? { value: check.ohms, unit: 'ohm' } : null;
    case 'meter.supply':
    case 'meter.ac':
      return { value: check.volts, unit: 'V' };
    case 'battery':
      return { value: check.restingVolts ?? null, unit: 'V at rest' };
    default:
      return null;
  }
};

const pickedOf = (check: Check): string | null =>
  check.check === 'live'
    ? check.pattern
    : check.check === 'meter.resistance'
      ? typeof check.ohms === 'string'
        ? check.ohms
        : null
      : 'result' in check
        ? check.result
        : null;

/** Checks made, each with its wheel and result changed in place, and what it did to the answer. */
export function CheckList({ docket, advice, change, said }: FactListProps) {
  return (
    <ul className="fact-list">
      {(docket.checks ?? []).map((check, i) => {
        const name = CHECK_IN_WORDS[check.check];
        const put = (label: string, edit: (c: Check) => Check) =>
          change(`${name}: ${label}`, (d) => ({ ...d, checks: changed(d.checks, i, edit) }));
        const measured = numberOf(check);
        const picked = pickedOf(check);
        const results = pickableResults(check.check);
        return (
          <Fact
            key={`${check.check}-${i}`}
            what={name}
            said={said(`checks[${i}]`) ?? 'changes little'}
            onRemove={() => change(`${name} dropped`, (d) => ({ ...d, checks: without(d.checks, i) }))}
          >
            {name}{' '}
            {check.check !== 'battery' && check.check !== 'tyres' && (
              <InlineSelect
                label={`${name}: at which wheel`}
                value={check.wheelEnd}
                none="corner in question"
                options={wheelChoices(advice)}
                onChange={(wheelEnd) => put('wheel', (c) => ({ ...c, wheelEnd }))}
              />
            )}{' '}
            {picked !== null && (
              <InlineSelect
                label={`${name}: result`}
                value={picked}
                options={results.map((result) => ({ value: result, label: result.replace(/-/g, ' ') }))}
                onChange={(result) =>
                  result &&
                  put('result', (c) => ({ ...c, ...checkWithResult(c.check, result, c.wheelEnd ?? null) }))
                }
              />
            )}
            {measured && (
              <>
                <InlineText
                  label={`${name}: reading`}
                  value={measured.value === null ? null : String(measured.value)}
                  width={7}
                  onChange={(text) => {
                    const value = Number((text ?? '').replace(',', '.'));
                    if (text !== null && Number.isFinite(value) && value >= 0)
                      put('reading', (c) => ({
                        ...c,
                        ...checkWithMeasure(c.check, value, c.wheelEnd ?? null),
                      }));
                  }}
                />{' '}
                {measured.unit}
              </>
            )}
            {check.check === 'live' && check.percent != null && (
              <span className="soft"> {check.percent} %</span>
            )}
            {check.check === 'meter.resistance' && check.of !== 'sensor' && (
              <span className="soft"> of the {check.of === 'new-part' ? 'new part' : 'loom'}</span>
            )}
            {check.check === 'tyres' && (
              <strong>
                {Object.entries(check.sizes)
                  .map(([end, size]) => `${end} ${size}`)
                  .join(', ')}
              </strong>
            )}
          </Fact>
        );
      })}
    </ul>
  );
}
