import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './server';

/** Starts tests/database/writer.ts as a process of its own on the database of a folder. */
export function startWriter(folder: string, ...args: string[]) {
  const child = spawn(
    process.execPath,
    ['--import', 'tsx', join(ROOT, 'tests/database/writer.ts'), ...args],
    {
      cwd: ROOT,
      env: { ...process.env, DATA_DIR: folder },
      stdio: ['ignore', 'pipe', 'pipe'],
    },
  );
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
