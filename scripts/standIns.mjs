import { spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { ROOT } from './install.mjs';

/** A process that says in its first line where it listens. Its input is held open: when we are gone it ends. */
const begin = (main, args) => {
  const child = spawn(process.execPath, ['--import', 'tsx', `packages/stand-ins/src/${main}`, ...args], {
    cwd: ROOT,
    stdio: ['pipe', 'pipe', 'inherit'],
  });
  const said = new Promise((resolve, reject) => {
    let text = '';
    child.stdout.on('data', (piece) => {
      text += piece;
      if (text.includes('\n')) resolve(JSON.parse(text.slice(0, text.indexOf('\n'))));
    });
    child.once('exit', (code) => reject(new Error(`${main} ended with ${code}`)));
  });
  return { child, said };
};

/**
 * Starts the bench with its reader and meter, and the suppliers, each as a process of its own on this machine, and writes
 * the start-up file that names them.
 */
export const startStandIns = async (file) => {
  const begun = [begin('benchMain.ts', []), begin('supplierMain.ts', ['--catalogue', 'demo/parts.csv'])];
  const stop = () => {
    for (const { child } of begun) child.kill();
  };
  try {
    const named = Object.assign({}, ...(await Promise.all(begun.map(({ said }) => said))));
    writeFileSync(file, `${JSON.stringify(named, null, 2)}\n`);
    return { file, stop, named };
  } catch (error) {
    stop();
    throw error;
  }
};
