import { describe, expect, test } from '@jest/globals';
import { assumptionsWith, DEFAULT_ASSUMPTIONS } from '../../assumptions/assumptions.ts';
import type { Docket } from '../../vocabulary/docket.ts';
import type { Asked } from './asked.ts';
import { questionsFor } from './questions.ts';

const docket = (rest: Partial<Docket> = {}): Docket => ({
  format: 'hardy-spoke/docket',
  version: 1,
  ...rest,
});
const about = (asked: Partial<Asked>) => questionsFor({ ...NOTHING_OPEN, ...asked }).map((q) => q.about);

/** A job of which everything is known. */
const NOTHING_OPEN: Asked = {
  docket: docket(),
  vehicle: { name: 'Tolvane Haven' },
  axles: 2,
  names: { axles: 2 },
  corner: 'A1L',
  unsafeUnnamed: false,
  facts: { positions: [], conflicts: [] } as unknown as Asked['facts'],
  end: null,
  group: null,
  ends: ['A1L', 'A1R', 'A2L', 'A2R'],
  echoesOnly: false,
  tyreChance: 0,
  supplyChance: 0,
  twoReadings: null,
  worthOf: () => 0,
  money: (amount) => `\u20AC${amount}`,
  a: assumptionsWith(),
};
const phrase = (needs: string, role?: string) => ({ text: `by the ${needs}`, wheelEnds: [], needs, role });
const positions = (...list: object[]) => ({ positions: list, conflicts: [] }) as unknown as Asked['facts'];
const open = DEFAULT_ASSUMPTIONS['question.open-from']?.value ?? NaN;

describe('what is asked', () => {
  test('nothing where nothing is open', () => {
    expect(questionsFor(NOTHING_OPEN)).toEqual([]);
  });

  test('what places the corner comes before what decides the parts', () => {
    const all = about({
      corner: null,
      vehicle: {},
      facts: positions(phrase('steeringSide')),
      tyreChance: 1,
      docket: docket({
        codes: [{ code: 'C0031' }],
        history: [{ event: 'battery-flat' }],
      }),
    });
    expect(all).toEqual(['steeringSide', 'wheelEnd', 'vehicle', 'tyres', 'codesCleared']);
  });

  test('one thing is asked once, and not for words of what is past or denied', () => {
    expect(about({ facts: positions(phrase('side'), phrase('side'), phrase('axle')) })).toEqual([
      'side',
      'axle',
    ]);
    expect(about({ facts: positions(phrase('side', 'past'), phrase('axle', 'denied')) })).toEqual([]);
  });

  test('as many axles as the vehicle has', () => {
    const [axle] = questionsFor({ ...NOTHING_OPEN, axles: 3, facts: positions(phrase('axle')) });
    expect(axle?.answers.map(({ value }) => value)).toEqual(['1', '2', '3']);
  });

  test('a wheel that may come off is asked for though a corner is named, and before all else of it', () => {
    const [wheel] = questionsFor({ ...NOTHING_OPEN, unsafeUnnamed: true, echoesOnly: true });
    expect(wheel).toMatchObject({ about: 'wheelEnd', because: 'a wheel that is loose can come off' });
    expect(wheel?.ask).toMatch(/It is not driven until that is known/);
    expect(wheel?.answers).toHaveLength(4);
  });

  test('a disagreement says why, whatever else would', () => {
    const facts = { positions: [], conflicts: [{ because: 'seated and mirrored disagree' }] };
    const [wheel] = questionsFor({
      ...NOTHING_OPEN,
      corner: null,
      facts: facts as unknown as Asked['facts'],
    });
    expect(wheel?.because).toBe('seated and mirrored disagree');
  });

  test('echoes alone send one to the brake controller', () => {
    const [wheel] = questionsFor({ ...NOTHING_OPEN, corner: null, echoesOnly: true });
    expect(wheel?.ask).toMatch(/brake controller itself/);
  });

  test('whose code it is, where two makers read it otherwise, instead of which vehicle', () => {
    const twoReadings = { code: '4320', meaning: 'depends on the maker' } as Asked['twoReadings'];
    const asked = questionsFor({ ...NOTHING_OPEN, vehicle: {}, twoReadings });
    expect(asked.filter((q) => q.about === 'vehicle')).toHaveLength(1);
    expect(asked[0]?.ask).toMatch(/Whose code is 4320/);
  });

  test('tyre sizes from the chance on that the shop set, until two are known', () => {
    expect(about({ tyreChance: open - 1e-9 })).toEqual([]);
    expect(about({ tyreChance: open })).toEqual(['tyres']);
    const tyres = { A1L: '205/55 R16', A1R: '195/65 R15' };
    expect(about({ tyreChance: 1, vehicle: { name: 'x', tyres } })).toEqual([]);
  });

  test('whether codes were cleared: with codes, while it is not known, where the battery may be behind it', () => {
    const codes = [{ code: 'C0031' }];
    expect(about({ docket: docket({ codes }) })).toEqual([]);
    expect(about({ docket: docket({ codes }), supplyChance: open })).toEqual(['codesCleared']);
    expect(about({ docket: docket({ codes, history: [{ event: 'battery-replaced' }] }) })).toEqual([
      'codesCleared',
    ]);
    expect(about({ docket: docket({ codes, codesCleared: false }), supplyChance: 1 })).toEqual([]);
    expect(about({ supplyChance: 1 })).toEqual([]);
  });
});
