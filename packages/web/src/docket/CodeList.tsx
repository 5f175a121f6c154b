import type { Advice } from '@hardy/core/words';
import { changed, without, type FactListProps } from './factEdits.ts';
import { Fact } from './Fact.tsx';
import { InlineText } from './Inline.tsx';

type ReadCode = Advice['codes'][number];

const GROUPS: ReadonlyArray<{ role: ReadCode['role']; title: string; open: boolean }> = [
  { role: 'root', title: 'root', open: true },
  { role: 'knock-on', title: 'echoes of the brake controller in other modules', open: false },
  { role: 'other', title: 'other', open: false },
  { role: 'unknown', title: 'not explained', open: true },
];

/** The codes grouped by what they are: roots open, echoes and others folded; each with its meaning and its source. */
export function CodeList({ advice, said, change }: FactListProps) {
  const { codes } = advice;
  if (codes.length === 0) return <p className="none">none read</p>;
  return (
    <>
      {GROUPS.map(({ role, title, open }) => {
        const mine = codes.map((code, i) => ({ code, i })).filter(({ code }) => code.role === role);
        if (mine.length === 0) return null;
        const root = mine.find(({ code }) => code.explainedBy !== null)?.code.explainedBy;
        return (
          <details key={role} className="code-group" open={open}>
            <summary>
              {mine.length} {title}
              {root != null && codes[root] ? `, explained by ${codes[root].code}` : ''}
            </summary>
            <ul className="fact-list">
              {mine.map(({ code, i }) => (
                <Fact
                  key={`${code.code}-${i}`}
                  what={`code ${code.code}`}
                  said={said(`codes[${i}]`)}
                  onRemove={() =>
                    change(`code ${code.code} dropped`, (d) => ({
                      ...d,
                      codes: without(d.codes, i),
                    }))
                  }
                >
                  <InlineText
                    name={`codes[${i}]`}
                    label={`Code ${code.code}, change it`}
                    mono
                    width={code.code.length}
                    value={code.code}
                    onChange={(text) =>
                      text &&
                      change(`code ${code.code} is ${text}`, (d) => ({
                        ...d,
                        codes: changed(d.codes, i, (entry) => ({ ...entry, code: text })),
                      }))
                    }
                  />{' '}
                  {code.meaning}
                  <span className="soft">
                    {' '}
                    {[code.module, code.status, code.source].filter(Boolean).join(' \u00B7 ')}
                    {code.corrected ? ` \u00B7 ${code.corrected}` : ''}
                  </span>
                </Fact>
              ))}
            </ul>
          </details>
        );
      })}
    </>
  );
}
