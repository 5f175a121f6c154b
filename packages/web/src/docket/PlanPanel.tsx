import { SCHOOL_HOLDS, SCHOOL_IN_WORDS, SCHOOLS, type Advice, type School } from '@hardy/core/words';
import type { PlanNode } from '@hardy/core/words';
import { inHundred, money } from '../format.ts';
import { Choice } from '../desk/Choice.tsx';

interface Props {
  advice: Advice;
  /** The school set on this docket; null where the shop's holds. */
  school: School | null;
  onSchool: (school: School | null) => void;
}

/** One step of the plan and what follows from it, indented as one would tell it. */
function Step({ node, currency, depth }: { node: PlanNode; currency: string; depth: number }) {
  return (
    <div className="plan-step">
      <span className={`plan-mark plan-${node.do}`} aria-hidden="true">
        {node.do === 'check'
          ? '?'
          : node.do === 'sell'
            ? '\u25B6'
            : node.do === 'refer'
              ? '\u2192'
              : '\u00D7'}
      </span>
      <span className={depth === 0 ? 'plan-now' : ''}>{node.label}</span>
      {node.expectedCost > 0 && (
        <span className="soft nowrap"> {money(node.expectedCost, currency)} to come</span>
      )}
      {node.then.length > 0 && (
        <ul>
          {node.then.map((branch) => (
            <li key={branch.when}>
              <span className="plan-when">
                {branch.when} <span className="soft">{inHundred(branch.chance)}</span>
              </span>
              {branch.next ? (
                <Step node={branch.next} currency={currency} depth={depth + 1} />
              ) : (
                <span className="soft"> {branch.when === 'cured' ? 'done' : 'look again'}</span>
              )}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** The whole plan as a small tree to read to the customer, how the other school would begin, and what would change it. */
export function PlanPanel({ advice, school, onSchool }: Props) {
  const { plan, currency } = advice;
  const other = plan.other;
  return (
    <section className="card" aria-label="The plan">
      <div className="row-head">
        <h2 className="kicker">The whole plan</h2>
        <label className="soft">
          school{' '}
          <Choice<School | ''>
            look="in-text"
            value={school ?? ''}
            onChoice={(chosen) => onSchool(chosen || null)}
            title={SCHOOL_HOLDS[plan.school]}
            options={[
              { value: '', label: `as the shop: ${SCHOOL_IN_WORDS[plan.school]}` },
              ...SCHOOLS.map((each) => ({ value: each, label: SCHOOL_IN_WORDS[each] })),
            ]}
          />
        </label>
      </div>
      {plan.step ? (
        <div className="plan-tree">
          <Step node={plan.step} currency={currency} depth={0} />
        </div>
      ) : (
        <p className="none">no plan yet</p>
      )}
      {other && (
        <p className="soft gap">
          {SCHOOL_IN_WORDS[other.school]} would {other.same ? 'begin alike' : `begin with: ${other.label}`} (
          {money(other.expectedCost, currency)} to come; {SCHOOL_HOLDS[other.school]}).
        </p>
      )}
      {plan.flips.length > 0 && (
        <>
          <h3 className="kicker">What would change this answer</h3>
          <ul className="flips">
            {plan.flips.map((flip) => (
              <li key={flip.when}>
                {flip.when} <span className="soft">({inHundred(flip.chance)})</span>: {flip.then}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
