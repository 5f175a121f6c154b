import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, installPackages, readingTools, ROOT, run } from './install.mjs';

/**
 * The whole check: types, lint, format, dependency rules, unit tests, browser tests. Goes on after a failure so that
 * one run shows all; ends with one line of counts. A step without counts of its own counts as one.
 */
installPackages();
const results = join(ROOT, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

let passed = 0;
let failed = 0;
/** What failed, told once more at the end: the middle of a long output is easily lost. */
const wrong = [];
const count = (ok, name) => {
  if (ok) passed++;
  else {
    failed++;
    wrong.push(name);
  }
};
const npx = (...args) => run('npx', ['--no-install', ...args]);
const step = (name, act) => {
  const began = Date.now();
  process.stdout.write(`\n== ${name}\n`);
  act();
  process.stdout.write(`== ${name}: ${((Date.now() - began) / 1000).toFixed(0)} s\n`);
};
const jsonAt = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);

/** A tool run beside others: what it said is shown when it ends. */
const beside = (name, command, args) =>
  new Promise((resolve) => {
    const began = Date.now();
    const child = spawn(command, args, { cwd: ROOT });
    let said = '';
    child.stdout.on('data', (text) => (said += text));
    child.stderr.on('data', (text) => (said += text));
    child.on('exit', (code) => {
      process.stdout.write(
        `\n== ${name}: ${((Date.now() - began) / 1000).toFixed(0)} s\n${code === 0 ? '' : said}`,
      );
      resolve(code === 0);
    });
  });

// Lint takes one core alone; the rest share the other.
const tool = (name, ...args) => beside(name, 'npx', ['--no-install', ...args]);
const [lint, others] = await Promise.all([
  tool('lint', 'eslint', '.', '--max-warnings', '0'),
  (async () => [
    await beside('types', process.execPath, ['scripts/typecheck.mjs']),
    await tool('format', 'prettier', '--check', '--log-level', 'warn', '.'),
    await tool(
      'dependency rules',
      'depcruise',
      '--config',
      '.dependency-cruiser.cjs',
      'packages',
      'bench',
      'e2e',
      'scripts',
      '--output-type',
      'err',
    ),
    await tool('schemas are current', 'tsx', 'scripts/schemas.ts', '--check'),
    await tool('nothing exported in vain', 'knip', '--no-progress', '--no-config-hints'),
  ])(),
]);
const NAMES = ['lint', 'types', 'format', 'dependency rules', 'schemas', 'exports'];
[lint, ...others].forEach((ok, i) => count(ok, NAMES[i]));

step('unit tests', () => {
  const file = join(results, 'jest.json');
  const code = npx('jest', '--json', `--outputFile=${file}`, '--silent');
  const counts = jsonAt(file);
  if (!counts) return count(false, 'unit tests did not run');
  passed += counts.numPassedTests;
  for (const suite of counts.testResults)
    for (const each of suite.assertionResults.filter(({ status }) => status === 'failed'))
      wrong.push(`${suite.name.slice(ROOT.length + 1)}: ${each.fullName}`);
  failed += counts.numFailedTests + counts.numRuntimeErrorTestSuites;
  if (code !== 0 && counts.numFailedTests + counts.numRuntimeErrorTestSuites === 0) failed++;
});
step('build', () =>
  count(
    run('npm', ['run', '--silent', 'build', '-w', '@hardy/web'], {
      stdio: ['ignore', 'ignore', 'inherit'],
    }) === 0,
    'build',
  ),
);
step('browser tests', () => {
  const browser = chromium();
  if (!browser) {
    process.stderr.write(
      'Chromium is missing and cannot be installed here (apt needs root): the browser tests count as failed\n',
    );
    return count(false, 'browser tests did not run');
  }
  const file = join(results, 'playwright.json');
  const result = spawnSync('npx', ['--no-install', 'playwright', 'test', '--reporter=list,json'], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: file, HARDY_CHROMIUM: browser },
  });
  const told = jsonAt(file);
  const counts = told?.stats;
  if (!counts) return count(false, 'browser tests did not run');
  for (const suite of told.suites)
    for (const spec of suite.specs.filter(({ ok }) => !ok)) wrong.push(`${suite.file}: ${spec.title}`);
  passed += counts.expected;
  failed += counts.unexpected + counts.flaky + counts.skipped;
  if (result.status !== 0 && counts.unexpected === 0) failed++;
});

step('bench in a tiny size', () =>
  count(
    run('npx', ['--no-install', 'tsx', 'bench/run.ts', '--tiny'], {
      stdio: ['ignore', 'ignore', 'inherit'],
    }) === 0,
    'bench in a tiny size',
  ),
);
step('read by tools that are not ours', () => {
  readingTools();
  const file = join(results, 'interop.json');
  const browser = chromium();
  run('npx', ['--no-install', 'tsx', 'scripts/interop.ts', '--dry', '--counts', file], {
    env: { ...process.env, ...(browser ? { HARDY_CHROMIUM: browser } : {}) },
  });
  const lines = jsonAt(file);
  if (!lines) return count(false, 'tools that are not ours did not run');
  // A tool that cannot be had is neither: its line says so.
  for (const { what, ok } of lines) if (ok !== null) count(ok, `read by another tool: ${what}`);
});

for (const name of wrong) process.stdout.write(`\nfailed: ${name}`);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed > 0 ? 1 : 0);
