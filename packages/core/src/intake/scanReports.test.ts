import { describe, expect, test } from '@jest/globals';
import { bareIntake } from './context.ts';
import { readIntake } from './readIntake.ts';
import { checkDigitOf, readVin, vinProblem } from './vin.ts';

const context = { ...bareIntake('2026-11-25'), steeringSide: 'left' as const, axles: 2 };
const WANTED = [
  { module: 'ABS', code: 'C0034-31', text: 'Wheel speed sensor, front right: no signal', status: 'active' },
  {
    module: 'Camera',
    code: 'U0415-92',
    text: 'Invalid data received from anti-lock controller',
    status: 'stored',
  },
];

describe('scan reports in many layouts', () => {
  test.each([
    [
      'headings above codes',
      'ABS\nC0034-31 Wheel speed sensor, front right: no signal - active\n\nCamera\nU0415-92 Invalid data received from anti-lock controller - stored\n',
    ],
    [
      'marked headings and noise',
      'Report 14 of 25 Nov\n=== ABS ===\n  C0034-31   Wheel speed sensor, front right: no signal   active\nend of module\n[Camera]\n  U0415-92   Invalid data received from anti-lock controller   stored\nPage 1 of 1',
    ],
    [
      'tabs',
      'ABS\tC0034-31\tWheel speed sensor, front right: no signal\tactive\nCamera\tU0415-92\tInvalid data received from anti-lock controller\tstored',
    ],
    [
      'semicolons',
      'ABS;C0034-31;Wheel speed sensor, front right: no signal;active\nCamera;U0415-92;Invalid data received from anti-lock controller;stored',
    ],
    [
      'CSV with headings and quotes',
      'Status,Code,Description,Module\nactive,C0034-31,"Wheel speed sensor, front right: no signal",ABS\nstored,U0415-92,Invalid data received from anti-lock controller,Camera',
    ],
    [
      'JSON by module',
      JSON.stringify({
        modules: [
          {
            name: 'ABS',
            dtcs: [
              {
                code: 'C0034-31',
                description: 'Wheel speed sensor, front right: no signal',
                status: 'active',
              },
            ],
          },
          {
            name: 'Camera',
            dtcs: [
              {
                code: 'U0415-92',
                description: 'Invalid data received from anti-lock controller',
                status: 'stored',
              },
            ],
          },
        ],
      }),
    ],
    [
      'JSON, flat',
      JSON.stringify([
        { ecu: 'ABS', dtc: 'C0034-31', text: 'Wheel speed sensor, front right: no signal', state: 'active' },
        {
          ecu: 'Camera',
          dtc: 'U0415-92',
          text: 'Invalid data received from anti-lock controller',
          state: 'stored',
        },
      ]),
    ],
    [
      'Windows line ends',
      'ABS\r\nC0034-31 Wheel speed sensor, front right: no signal (active)\r\nCamera\r\nU0415-92 Invalid data received from anti-lock controller (stored)\r\n',
    ],
  ])('%s', (_, text) => {
    const { codes } = readIntake(text, context);
    expect(codes).toEqual(WANTED);
  });

  test('an SPN table', () => {
    expect(readIntake('SPN;FMI;Description;Status\n790;8;Wheel speed;Active\n', context).codes).toEqual([
      { module: null, code: 'SPN 790 FMI 8', text: 'Wheel speed', status: 'active' },
    ]);
  });

  test('notes and report in one text', () => {
    const reading = readIntake(
      'Customer: light on since new tyre rear right last week, rear left is fine.\n\nABS\nC003A-64 Wheel speed rear right implausible, active\n',
      context,
    );
    expect(reading.codes[0]).toMatchObject({ code: 'C003A-64', module: 'ABS', status: 'active' });
    expect(reading.history).toEqual([{ event: 'tyre-replaced', wheelEnd: 'A2R', daysAgo: 8 }]);
    expect(reading.positions.map((p) => [p.wheelEnds[0], p.role])).toEqual([
      ['A2R', 'past'],
      ['A2L', 'denied'],
    ]);
  });

  test('what is wanted is not what was done', () => {
    expect(readIntake('needs a new sensor front left', context).history).toEqual([]);
    expect(readIntake('price for a new hub rear right please', context).history).toEqual([]);
    expect(readIntake('sender on the diff was changed last month', context).history).toMatchObject([
      { event: 'sender-replaced', wheelEnd: 'A2C', daysAgo: 35 },
    ]);
  });

  test('a reading of a new part is not one of the old', () => {
    expect(readIntake('meter reads 1.2k on the new one', context).checks).toEqual([
      { check: 'meter.resistance', of: 'new-part', ohms: 1200 },
    ]);
    expect(readIntake('1150 ohm front left', context).checks).toEqual([
      { check: 'meter.resistance', of: 'sensor', ohms: 1150, wheelEnd: 'A1L' },
    ]);
  });

  test('tyres by corner, and the others', () => {
    expect(readIntake('rear right 215/70 R16, others 215/60 R16', context).tyres).toEqual({
      A2R: '215/70 R16',
      A1L: '215/60 R16',
      A1R: '215/60 R16',
      A2L: '215/60 R16',
    });
  });

  test('a code two makers use differently is not guessed', () => {
    const dictionary = [
      { dictionary: 'One', code: '4310', module: 'ABS', text: 'Wheel speed sensor front left: open circuit' },
      { dictionary: 'Two', code: '4310', module: 'ABS', text: 'Wheel speed sensor rear right: open circuit' },
    ];
    expect(readIntake('fault code 4310', { ...context, dictionary }).codes[0]).toMatchObject({
      code: '4310',
    });
  });
});

describe('VIN', () => {
  // Made by the rule itself, with a maker's mark that is not in use.
  const make = (body: string): string =>
    body.slice(0, 8) + checkDigitOf(`${body.slice(0, 8)}0${body.slice(9)}`) + body.slice(9);
  const vin = make('0HBSHA17_JA000042'.replace('_', '0'));

  test('check digit, model year, forgiven letters', () => {
    expect(readVin(vin, '2026-11-25')).toMatchObject({ vin, checkDigit: 'fits', modelYears: [2018, 1988] });
    expect(readVin(vin.replace('42', '43'), '2026-11-25')?.checkDigit).toBe('does not fit');
    expect(readVin(vin.replace(/^0/, 'O'), '2026-11-25')).toMatchObject({
      vin,
      corrected: expect.stringContaining('no I, O or Q') as unknown,
    });
    expect(checkDigitOf('11111111111111111')).toBe('1');
  });

  test('what is no VIN is told why', () => {
    expect(vinProblem(vin.slice(1))).toBe('a VIN has 17 characters; this has 16');
    expect(readIntake(`vin ${vin.slice(1)}`, context).chips[0]).toMatchObject({
      kind: 'left-over',
      note: 'a VIN has 17 characters; this has 16',
    });
  });

  test('a VIN fills the model year', () => {
    expect(readIntake(`abs light ${vin}`, context).vehicle).toMatchObject({ vin, buildDate: '2018' });
  });
});
