import {
  CHECK_IN_WORDS,
  CHECK_RESULTS,
  checkWithResult,
  kindOf,
  numbersOf,
  pickedResult,
  type Check,
} from '@hardy/core/words';
import { numberTyped } from './measureFields.ts';
import { changed, wheelChoices, without, type FactListProps } from './factEdits.ts';
import { Fact } from './Fact.tsx';
import { InlineSelect, InlineText } from './Inline.tsx';

/** Checks made, each with its wheel and result changed in place, and what it did to the answer. */
export function CheckList({ docket, advice, change, said }: FactListProps) {
  return (
    <ul className="fact-list">
      {(docket.checks ?? []).map((check, i) => {
        const name = CHECK_IN_WORDS[check.check];
        const put = (label: string, edit: (c: Check) => Check) =>
          change(`${name}: ${label}`, (d) => ({ ...d, checks: changed(d.checks, i, edit) }));
        const numbers = check as unknown as Readonly<Record<string, number | string | null | undefined>>;
        const fields = numbersOf(check.check).filter(({ key }) => typeof numbers[key] === 'number');
        const picked = pickedResult(check);
        const results: readonly string[] = CHECK_RESULTS[check.check];
        return (
          <Fact
            key={`${check.check}-${i}`}
            what={name}
            said={said(`checks[${i}]`) ?? 'changes little'}
            onRemove={() => change(`${name} dropped`, (d) => ({ ...d, checks: without(d.checks, i) }))}
          >
            {name}{' '}
            {kindOf(check.check).speaksOf !== 'supply' && kindOf(check.check).speaksOf !== 'tyres' && (
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
            {fields.map(({ key, field: { ask: label = key, unit } }) => (
              <span key={key}>
                <InlineText
                  name={`checks[${i}].${key}`}
                  label={`${name}: ${label}`}
                  value={numbers[key] == null ? null : String(numbers[key])}
                  width={unit === 'ohm' ? 7 : 4}
                  onChange={(text) => {
                    const value = text === null ? null : numberTyped(text, unit);
                    if (value !== null) put(label, (c) => ({ ...c, [key]: value, confirmed: null }));
                  }}
                />{' '}
                {unit}{' '}
              </span>
            ))}
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
