import { spawn } from 'node:child_process';
import { ROOT } from './install.mjs';

/**
 * The core and the bench vehicle against settings that know neither Node nor the browser, the pages against those that know no Node, then
 * everything together with tests and scripts.
 */
const check = (project) =>
  new Promise((resolve) => {
    spawn('npx', ['--no-install', 'tsc', '-p', project], { cwd: ROOT, stdio: 'inherit' }).on('exit', (code) =>
      resolve(code ?? 1),
    );
  });
const first = await Promise.all(['packages/core', 'packages/web', 'packages/bench-vehicle'].map(check));
const rest = await check('.');
process.exit([...first, rest].some((code) => code !== 0) ? 1 : 0);
