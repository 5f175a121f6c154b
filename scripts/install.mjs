import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { join } from 'node:path';

export const ROOT = fileURLToPath(new URL('..', import.meta.url));
const CACHE = join(ROOT, '.cache');

/** Runs a command in the project's root, its output shown; returns its exit code. */
export const run = (command, args, options = {}) => {
  const result = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  return result.status ?? 1;
};

/** A digest of files, to see whether a step must be done again. */
export const digest = (files) => {
  const hash = createHash('sha256');
  for (const file of files)
    hash.update(file).update(existsSync(join(ROOT, file)) ? readFileSync(join(ROOT, file)) : '');
  return hash.digest('hex');
};

/** Does `step` unless it was done for the same `key` before. */
export const once = (name, key, step) => {
  mkdirSync(CACHE, { recursive: true });
  const mark = join(CACHE, `${name}.done`);
  if (existsSync(mark) && readFileSync(mark, 'utf8') === key) return;
  step();
  writeFileSync(mark, key);
};

const lockAt = (file) =>
  existsSync(join(ROOT, file)) ? JSON.parse(readFileSync(join(ROOT, file), 'utf8')).packages : null;

/**
 * Whether what is installed is what the lock file asks for: npm keeps its own list of what it put there. A package for
 * another platform may be absent, and the project's own folders are only links.
 */
export const packagesMatch = () => {
  const wanted = lockAt('package-lock.json');
  const there = lockAt('node_modules/.package-lock.json');
  if (!wanted || !there) return false;
  return Object.entries(wanted).every(([path, { version, link, optional, peer }]) => {
    if (!path.startsWith('node_modules/') && !path.includes('/node_modules/')) return true;
    if (link) return existsSync(join(ROOT, path));
    const found = there[path];
    return found ? found.version === version && existsSync(join(ROOT, path)) : Boolean(optional || peer);
  });
};

/** Installs the packages of the lock file when they are missing or out of date. */
export const installPackages = () => {
  if (packagesMatch()) return;
  process.stdout.write(
    'Installing packages (the first time takes about two minutes: the database is compiled)\n',
  );
  const code = run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  if (code !== 0) {
    process.stderr.write('npm could not install the packages; see above\n');
    process.exit(1);
  }
};

const CHROMIUM = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];

/** The path of Debian's Chromium, installed by apt where it is missing and we may; null where that is not possible. */
export const chromium = () => {
  const found = () => process.env.HARDY_CHROMIUM ?? CHROMIUM.find((path) => existsSync(path)) ?? null;
  if (found()) return found();
  if (process.getuid?.() !== 0) return null;
  process.stdout.write('Installing Chromium for the browser tests\n');
  run('apt-get', ['update', '-qq'], { stdio: 'ignore' });
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
    stdio: 'ignore',
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  });
  return found();
};

/** Debian's packages of tools that read what we write, and a program of each. */
const READING_TOOLS = [
  ['tshark', '/usr/bin/tshark'],
  ['lxi-tools', '/usr/bin/lxi'],
  ['python3-can', '/usr/lib/python3/dist-packages/can/__init__.py'],
  ['zbar-tools', '/usr/bin/zbarimg'],
  ['poppler-utils', '/usr/bin/pdftotext'],
  ['sqlite3', '/usr/bin/sqlite3'],
];

/** Installs by apt what is missing of the tools that read what we write, where we may; what stays missing is skipped with a line. */
export const readingTools = () => {
  const missing = READING_TOOLS.filter(([, file]) => !existsSync(file)).map(([name]) => name);
  if (missing.length === 0 || process.getuid?.() !== 0) return;
  process.stdout.write(`Installing ${missing.join(', ')}\n`);
  const apt = { stdio: 'ignore', env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } };
  run('apt-get', ['update', '-qq'], apt);
  // One by one: a package that cannot be had does not keep the others out.
  for (const name of missing) run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], apt);
};
