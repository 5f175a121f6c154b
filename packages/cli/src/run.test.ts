import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { spawnSync } from 'node:child_process';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { command } from './command.ts';
import { run } from './run.ts';

const ROOT = join(__dirname, '../../..');
const NOW = new Date('2026-11-25T10:00:00Z');
let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'hardy-cli-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const file = (name: string, text: string): string => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};

describe('hardy', () => {
  test('advise', async () => {
    expect(
      await run(['advise', join(ROOT, 'cases/plain-open-circuit.json')], NOW).catch((e: Error) => e.message),
    ).toMatch(/^format: nothing/);
    const docket = file(
      'docket.json',
      JSON.stringify({ format: 'hardy-spoke/docket', version: 1, codes: [{ code: 'C0031-13' }] }),
    );
    expect(await run(['advise', docket], NOW)).toMatchObject({
      format: 'hardy-spoke/advice',
      wheelEnd: 'A1L',
    });
  });

  test('advise knows the catalogue where the vehicle is in it, and does without where it is not', async () => {
    const advised = async (catalogueId: string) => {
      const docket = file(
        'catalogued.json',
        JSON.stringify({
          format: 'hardy-spoke/docket',
          version: 1,
          vehicle: { catalogueId, buildDate: '2018-05' },
          codes: [{ code: 'C0037-13' }],
        }),
      );
      return (await run(['advise', docket], NOW)) as {
        offers: Array<{ lines: Array<{ partNumber: string | null }> }>;
      };
    };
    expect((await advised('mer-tern-16')).offers[0]?.lines[0]?.partNumber).toEqual(expect.any(String));
    expect((await advised('no-such')).offers[0]?.lines[0]?.partNumber).toBeNull();
  });

  test('fit: candidates by part and wheel end, and what still splits them', async () => {
    const docket = (vehicle: object) =>
      file('fit.json', JSON.stringify({ format: 'hardy-spoke/docket', version: 1, vehicle }));
    const fit = await run(['fit', docket({ catalogueId: 'mer-tern-16' })], NOW);
    expect(fit).toMatchObject({ format: 'hardy-spoke/fit', vehicle: 'mer-tern-16' });
    expect(JSON.stringify(fit)).toContain('hubMaker');
    const settled = await run(
      [
        'fit',
        docket({ catalogueId: 'mer-tern-16', attributes: { hubMaker: 'Halvarn' }, buildDate: '2018-05' }),
      ],
      NOW,
    );
    expect(settled).not.toMatchObject({ questions: [{ about: 'hubMaker' }] });
    await expect(run(['fit', docket({})], NOW)).rejects.toThrow(/catalogueId/);
    await expect(run(['fit', docket({ catalogueId: 'no-such' })], NOW)).rejects.toThrow(/no-such/);
  });

  test('compare: every way with its cost, the same for the same seed', async () => {
    const docket = file(
      'compare.json',
      JSON.stringify({
        format: 'hardy-spoke/docket',
        version: 1,
        vehicle: { catalogueId: 'mer-tern-16', buildDate: '2018-05' },
        codes: [{ code: 'C0037-13' }],
      }),
    );
    const first = await run(['compare', docket], NOW);
    expect(first).toMatchObject({ format: 'hardy-spoke/comparison', version: 1, wheelEnd: 'A2L', seed: 1 });
    expect(await run(['compare', docket], NOW)).toEqual(first);
    expect(await run(['compare', docket, '--seed', '2'], NOW)).not.toEqual(first);
    await expect(run(['compare', docket, '--seed', 'x'], NOW)).rejects.toThrow(/--seed/);
    const lost = file('lost.json', JSON.stringify({ format: 'hardy-spoke/docket', version: 1 }));
    await expect(run(['compare', lost], NOW)).rejects.toThrow(/wheelEnd.*not known/);
  });

  test('intake knows the vehicles of the catalogue', async () => {
    const notes = file('vehicle.txt', 'merrowby minibus built 03/2018, abs light');
    expect(await run(['intake', notes], NOW)).toMatchObject({
      vehicle: { catalogueId: 'mer-shoal-17', buildDate: '2018-03' },
    });
  });

  test('intake hears several wheels, each with its own finding', async () => {
    const notes = file(
      'wheels.txt',
      'play at the rear right, none at the rear left. abs lamp went out by itself',
    );
    expect(await run(['intake', notes, '--axles', '2'], NOW)).toMatchObject({
      checks: [
        { check: 'bearing.play', result: 'clear', wheelEnd: 'A2R' },
        { check: 'bearing.play', result: 'none', wheelEnd: 'A2L' },
        { check: 'lamps', result: 'out-by-itself' },
      ],
    });
  });

  test('intake with its options', async () => {
    const notes = file('notes.txt', "driver's front, abs light");
    expect(await run(['intake', notes], NOW)).toMatchObject({
      positions: [{ wheelEnds: [], needs: 'steeringSide' }],
    });
    expect(await run(['intake', notes, '--steering', 'right'], NOW)).toMatchObject({
      positions: [{ wheelEnds: ['A1R'], needs: null }],
      symptoms: ['lamp.abs'],
    });
    const trailer = file('trailer.txt', 'rear left');
    expect(await run(['intake', trailer, '--axles', '3'], NOW)).toMatchObject({
      positions: [{ wheelEnds: ['A3L'] }],
    });
  });

  test.each([
    [[], /^use: hardy/],
    [['adviss', 'x'], /adviss is not a command/],
    [['advise'], /takes one file/],
    [['advise', 'no-such-file.json'], /^no-such-file\.json: does not exist/],
    [['intake', 'x', '--steering', 'up'], /^--steering: "up" is not known here; use one of left \| right/],
    [['intake', 'x', '--axles', 'many'], /^--axles/],
    [['intake', 'x', '--colour', 'red'], /--colour/],
  ])('%j', async (args, wanted) => {
    await expect(run(args, NOW)).rejects.toThrow(wanted);
  });

  test('as a process: exit 1, one line on standard error, nothing on standard output, no stack', () => {
    const bad = file(
      'bad.json',
      '{"format": "hardy-spoke/docket", "version": 1, "checks": [{"check": "visual.ring", "result": "brokn"}]}',
    );
    const result = spawnSync(
      process.execPath,
      ['--import', 'tsx', 'packages/cli/src/main.ts', 'advise', bad],
      { cwd: ROOT, encoding: 'utf8' },
    );
    expect(result.status).toBe(1);
    expect(result.stdout).toBe('');
    expect(result.stderr.trim().split('\n')).toHaveLength(1);
    expect(result.stderr).toMatch(/^checks\[0\]\.result: "brokn"/);
  });
});

describe('as a program', () => {
  const hardy = (...args: string[]) =>
    spawnSync(process.execPath, ['--import', 'tsx', 'packages/cli/src/main.ts', ...args], {
      cwd: ROOT,
      encoding: 'utf8',
    });
  const lines = (text: string) => text.trim().split('\n');

  /** A command line in this process: what it would write and end with. */
  const here = async (...args: string[]) => {
    let [stdout, stderr] = ['', ''];
    const status = await command(args, NOW, {
      out: (text) => void (stdout += text),
      error: (text) => void (stderr += text),
    });
    return { status, stdout, stderr };
  };

  test('--help tells every command and ends well; a slip is told in one line', async () => {
    const help = hardy('--help');
    expect([help.status, help.stdout]).toEqual([0, (await here('--help')).stdout]);
    expect(lines(help.stdout)).toHaveLength(9);
    expect((await here('backup', '--help')).status).toBe(0);
    expect(hardy('nonsense').status).toBe(1);
    for (const args of [
      [],
      ['nonsense'],
      ['advise'],
      ['advise', 'a', 'b'],
      ['advise', 'a', '--seed', '1'],
      ['advise', '--', '--x'],
    ]) {
      const slip = await here(...args);
      expect([args, slip.status, lines(slip.stderr).length]).toEqual([args, 1, 1]);
    }
    expect((await here('trace', 'x.csv', '--catalogue', 'y')).stderr).toMatch(
      /takes no --catalogue; it takes --circumference, --track/,
    );
  }, 120_000);

  test('whoever reads no further is no fault; a docket nested too deep is told', () => {
    const docket = file(
      'plain.json',
      JSON.stringify({ format: 'hardy-spoke/docket', version: 1, codes: [{ code: 'C0031-13' }] }),
    );
    const piped = spawnSync(
      'bash',
      [
        '-c',
        `"${process.execPath}" --import tsx packages/cli/src/main.ts advise "${docket}" | head -c 5; echo " \${PIPESTATUS[0]}"`,
      ],
      { cwd: ROOT, encoding: 'utf8' },
    );
    expect(piped.stdout.trim()).toMatch(/ 0$/);
    expect(piped.stderr).toBe('');
    const deep = file(
      'deep.json',
      `{"format":"hardy-spoke/docket","version":1,"options":${'['.repeat(50_000)}${']'.repeat(50_000)}}`,
    );
    const told = hardy('advise', deep);
    expect([told.status, lines(told.stderr)]).toEqual([
      1,
      [expect.stringMatching(/nested more than 60 levels deep/)],
    ]);
  }, 60_000);

  test('a backup of a shop, and a restore of what is none, from the command line', async () => {
    const shop = join(folder, 'none.sqlite');
    const none = hardy('backup', '--database', shop);
    expect([none.status, lines(none.stderr)]).toEqual([
      1,
      [expect.stringMatching(/none\.sqlite cannot be opened: it does not exist/)],
    ]);
    const packed = await here('pack', join(folder, 'shop.zip'), '--database', shop);
    expect([packed.status, lines(packed.stderr)]).toEqual([1, [expect.stringMatching(/does not exist/)]]);
    const restored = await here('restore', folder, '--database', shop);
    expect([restored.status, lines(restored.stderr)]).toEqual([
      1,
      [expect.stringMatching(/it is no backup/)],
    ]);
  }, 60_000);
});
