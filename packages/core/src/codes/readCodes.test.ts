import { describe, expect, test } from '@jest/globals';
import { parseCode } from './grammars/grammars.ts';
import { j2012, reservedCorner } from './grammars/j2012.ts';
import { rawBytes } from './grammars/rawBytes.ts';
import { spn, spnCorner } from './grammars/spn.ts';
import { readCodes, type CodeContext } from './readCodes.ts';
import { FAILURE_TYPES } from './codeMeaning.ts';
import { CODE_LIKELIHOODS } from '../assumptions/codeLikelihoods.ts';

const context: CodeContext = {
  steeringSide: 'left',
  trafficSide: 'right',
  axles: 2,
  trailer: false,
  dictionary: null,
  entries: [],
  centreAxles: new Set(),
  namedCorner: null,
};
const entries = [
  { dictionary: 'Merrowby', code: 'C0A31', module: 'ABS', text: 'Wheel speed sensor, front left' },
  {
    dictionary: 'Quillon',
    code: '4320',
    module: 'Anti-lock',
    text: 'Wheel speed sensor front right: open circuit',
  },
];

describe('grammars', () => {
  test.each([
    ['C0A31', 'C0A31', null],
    ['c0a31-13', 'C0A31-13', null],
    ['C0A31:13', 'C0A31-13', null],
    ['C0A31 13', 'C0A31-13', null],
    ['CO031', 'C0031', 'CO031 read as C0031'],
    ['C003I-1F', 'C0031-1F', 'C003I-1F read as C0031-1F'],
  ])('%s', (text, code, corrected) => {
    expect(j2012.parse(text)).toMatchObject({ code, corrected });
  });

  test.each(['CODE', 'Caller', 'C0', '4A3713', 'X0A31'])(
    '%s is not five characters of the standard',
    (text) => {
      expect(j2012.parse(text)).toBeNull();
    },
  );

  test('three raw bytes', () => {
    expect(rawBytes.parse('0x4A3713')).toMatchObject({ code: 'C0A37-13' });
    expect(rawBytes.parse('d12108')).toMatchObject({ code: 'U1121-08' });
  });

  test.each(['SPN 789 FMI 5', '789/5', 's789 f5', 'spn:789 fmi:5', 'SPN789FMI5'])('%s', (text) => {
    expect(spn.parse(text)).toMatchObject({ code: 'SPN 789 FMI 5' });
  });

  test('reserved corners', () => {
    expect(
      ['C0031', 'C0033', 'C0034', 'C0037', 'C0039', 'C003A', 'C003C', 'C003D'].map(reservedCorner),
    ).toEqual(['A1L', 'A1L', 'A1R', 'A2L', 'A2L', 'A2R', 'A2R', null]);
    expect([788, 789, 790, 791, 792, 793, 794, 795].map(spnCorner)).toEqual([
      null,
      'A1L',
      'A1R',
      'A2L',
      'A2R',
      'A3L',
      'A3R',
      null,
    ]);
  });

  test('a code valid in more than one grammar gives each reading', () => {
    expect(parseCode('789/5').map((c) => c.grammar)).toEqual(['spn']);
    expect(parseCode('4320').map((c) => c.grammar)).toEqual(['maker']);
  });

  test('every failure type has a likelihood row', () => {
    for (const { meaning } of Object.values(FAILURE_TYPES))
      expect(Object.keys(CODE_LIKELIHOODS).some((key) => key.startsWith(`code.${meaning}.`))).toBe(true);
  });
});

describe('readCodes', () => {
  test('the text beside a code gives its corner and meaning', () => {
    const [code] = readCodes(
      [{ module: 'ABS', code: 'C0B07-31', text: 'Wheel speed sensor, right front: no signal' }],
      context,
    );
    expect(code).toMatchObject({ role: 'root', wheelEnds: ['A1R'], signal: 'no-signal' });
  });

  test('a dictionary explains a maker number and a manufacturer code', () => {
    const [maker] = readCodes([{ module: 'Anti-lock', code: '4320' }], {
      ...context,
      dictionary: 'Quillon',
      entries,
    });
    expect(maker).toMatchObject({
      role: 'root',
      wheelEnds: ['A1R'],
      signal: 'open',
      source: 'dictionary Quillon',
    });
    const [standard] = readCodes([{ module: 'ABS', code: 'C0A31-13' }], {
      ...context,
      dictionary: 'Merrowby',
      entries,
    });
    expect(standard).toMatchObject({ role: 'root', wheelEnds: ['A1L'], signal: 'open' });
  });

  test('another maker\u2019s dictionary does not explain it', () => {
    const [code] = readCodes([{ module: 'Anti-lock', code: '4320' }], {
      ...context,
      dictionary: 'Merrowby',
      entries,
    });
    expect(code?.role).toBe('unknown');
  });

  test('while the maker is not known a dictionary is not guessed: each reading is shown', () => {
    const [code] = readCodes([{ code: '4320' }], { ...context, entries });
    expect(code).toMatchObject({ role: 'unknown', wheelEnds: [], readings: [{ dictionary: 'Quillon' }] });
    expect(code?.meaning).toContain('depends on the maker');
  });

  test('echoes are tied to the root that explains them, park brakes are not the brake controller', () => {
    const codes = readCodes(
      [
        { module: 'Park brake', code: 'U0415-81', text: 'Invalid data received from anti-lock controller' },
        { module: 'ABS', code: 'C0034-31', text: '' },
        { module: 'Camera', code: 'U0121', text: 'Lost communication with ABS' },
        { module: 'Engine', code: 'P0300', text: 'Misfire' },
      ],
      context,
    );
    expect(codes.map((c) => c.role)).toEqual(['knock-on', 'root', 'knock-on', 'other']);
    expect(codes[0]?.explainedBy).toBe(1);
  });

  test('where an axle has one centre sender its codes are about that', () => {
    const [code] = readCodes([{ module: 'ABS', code: 'C0037' }], { ...context, centreAxles: new Set([2]) });
    expect(code?.wheelEnds).toEqual(['A2C']);
  });
});
