import { run } from './install.mjs';

/** Each package against its own settings (the core knows neither Node nor the browser), then tests and scripts. */
const projects = ['packages/core', 'packages/server', 'packages/cli', 'packages/web', '.'];
const failed = projects.filter((project) => run('npx', ['--no-install', 'tsc', '-p', project]) !== 0);
process.exit(failed.length > 0 ? 1 : 0);
