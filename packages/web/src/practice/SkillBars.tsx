import type { SkillView } from '@hardy/core/contract';
import { inHundred } from '../format.ts';
import { SKILL_IN_WORDS } from './skillWords.ts';

const percent = (share: number): string => `${Math.round(share * 100)}%`;

/** What somebody can do, each skill with how sure that is. */
export function SkillBars({ skills }: { skills: readonly SkillView[] }) {
  return (
    <table className="skill-bars">
      <caption className="unseen">Skills, with the chance of a right answer and its interval</caption>
      <tbody>
        {skills.map(({ skill, answers, chance, low, high, due }) => (
          <tr key={skill}>
            <th scope="row">{SKILL_IN_WORDS[skill][0]}</th>
            <td className="skill-bar">
              {answers > 0 && (
                <span aria-hidden="true">
                  <i style={{ left: percent(low), width: percent(high - low) }} />
                  <b style={{ left: percent(chance) }} />
                </span>
              )}
            </td>
            <td className="soft">
              {answers === 0
                ? 'not tried'
                : `${inHundred(chance)} (${Math.round(low * 100)} to ${Math.round(high * 100)})${due > 0 ? `, ${due} due` : ''}`}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
