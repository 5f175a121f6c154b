import { asksNoSensor, type Finding } from './finding.ts';
import { memo } from './memo.ts';

/** What decides a finding's chances, as a number: findings that are alike at several wheel ends share what they tell. */
export interface Shape {
  readonly number: number;
  /** Whether it tells the same whatever kind of sensor answers. */
  readonly ofEither: boolean;
}

/** The shapes of findings, each list looked through once. `id` numbers the functions that chances come from. */
export const findingShapes = (id: (thing: object) => number) => {
  const shapes = new Map<string, Shape>();
  const shapeOf = (finding: Finding): Shape => {
    const { kind, isNormal, seen, normal, jointly, says } = finding;
    const parts = [seen, normal, jointly, says].map((part) => (part ? id(part) : '-'));
    return memo(shapes, `${kind} ${isNormal} ${parts.join(' ')}`, () => ({
      number: shapes.size,
      ofEither: asksNoSensor(finding),
    }));
  };
  const listed = new Map<readonly Finding[], readonly Shape[]>();
  const shapesOf = (findings: readonly Finding[]): readonly Shape[] =>
    memo(listed, findings, () => findings.map(shapeOf));
  const likenesses = new Map<string, number>();
  const likenessOf = new Map<readonly Finding[], number>();
  return {
    shapesOf,
    /** What decides how findings weigh together: their shapes, and their order by label, which settles a tie. */
    likeness: (findings: readonly Finding[]): number =>
      memo(likenessOf, findings, () => {
        const labels = findings.map(({ label }) => label);
        const order = labels
          .map((_, i) => i)
          .sort((i, j) => ((labels[i] as string) < (labels[j] as string) ? -1 : 1));
        const alike = shapesOf(findings).map(({ number }, i) => `${number} ${findings[i]?.mechanism}`);
        return memo(likenesses, `${alike.join(',')}/${order.join(',')}`, () => likenesses.size);
      }),
  };
};
