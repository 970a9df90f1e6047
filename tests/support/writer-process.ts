import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { ROOT } from './server';

const WRITER = join(ROOT, 'tests/database/writer.ts');
/** Inside the project, so that it finds its packages. */
const IN_ONE_FILE = join(ROOT, 'test-output', 'writer.cjs');

let bundled = false;

/** The writer as one file: a process that reads it begins in a fifth of the time that a translator takes. */
function writerInOneFile(): string {
  if (!bundled)
    buildSync({
      entryPoints: [WRITER],
      outfile: IN_ONE_FILE,
      bundle: true,
      platform: 'node',
      format: 'cjs',
      packages: 'external',
      logLevel: 'error',
    });
  bundled = true;
  return IN_ONE_FILE;
}

/** Starts tests/database/writer.ts as a process of its own on the database of a folder. */
export function startWriter(folder: string, ...args: string[]) {
  const child = spawn(process.execPath, [writerInOneFile(), ...args], {
    cwd: ROOT,
    env: { ...process.env, DATA_DIR: folder },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let out = '';
  let err = '';
  child.stdout.on('data', (data: Buffer) => {
    out += data.toString();
  });
  child.stderr.on('data', (data: Buffer) => {
    err += data.toString();
  });
  const ended = new Promise<number | null>((resolve) => child.on('close', resolve));
  return { child, ended, lines: () => out.split('\n').slice(0, -1), errors: () => err };
}
