import { spawn } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { ENVIRONMENT, ROOT, ensureBuild, run } from '../../lib/project.mjs';
import { post } from './phones.mjs';

const made = join(ROOT, 'data', 'bench');
const data = join(ROOT, 'data', 'load');
const probe = join(data, 'probe.jsonl');
export const database = join(data, 'dry-lantern.db');

/** Builds, and copies the database of 5,000 patients, which is written where there is none. */
export function ready(origin) {
  ensureBuild();
  if (!existsSync(join(made, 'bench.json'))) {
    mkdirSync(made, { recursive: true });
    console.log('Writing 5,000 patients with their records …');
    run(
      process.execPath,
      ['--import', 'tsx', 'scripts/bench/records.ts', join(made, 'bench.json')],
      {
        env: { ...ENVIRONMENT, DATA_DIR: made, PUBLIC_URL: origin },
      },
    );
  }
  rmSync(data, { recursive: true, force: true });
  mkdirSync(data, { recursive: true });
  copyFileSync(join(made, 'dry-lantern.db'), database);
}

/** Starts servers on the same database; the first is the one that is looked into. */
export async function servers(port, count) {
  const addressOf = (index) => `http://localhost:${port + index}`;
  const all = [];
  for (let index = 0; index < count; index += 1) {
    const own =
      index === 0
        ? {
            NODE_OPTIONS: `--import ${join(ROOT, 'scripts/bench/load/probe.mjs')} ${process.env.LOAD_OPTIONS ?? ''}`,
            LOAD_PROBE: probe,
          }
        : {};
    const one = spawn(process.execPath, ['scripts/serve/server.mjs', String(port + index)], {
      cwd: ROOT,
      env: {
        ...ENVIRONMENT,
        NODE_ENV: 'production',
        DATA_DIR: data,
        PUBLIC_URL: addressOf(index),
        ...own,
      },
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    });
    all.push(one);
    await new Promise((resolve) => one.once('message', resolve));
  }
  return {
    addressOf,
    /** The cookie of the clinic's lead. */
    async signedIn() {
      const { email, password } = JSON.parse(readFileSync(join(made, 'bench.json'), 'utf8'));
      const answer = await post(addressOf(0), '/api/v1/sign-in', { email, password });
      return answer.headers.get('set-cookie').split(';')[0];
    },
    /** What the first server's event loop was late by since the last time this was asked, and its memory. */
    async looked() {
      const before = existsSync(probe) ? readFileSync(probe, 'utf8').length : 0;
      all[0].kill('SIGUSR2');
      for (;;) {
        await wait(20);
        const text = existsSync(probe) ? readFileSync(probe, 'utf8') : '';
        if (text.length > before && text.endsWith('\n'))
          return JSON.parse(text.trim().split('\n').at(-1));
      }
    },
    end() {
      for (const one of all) one.kill('SIGTERM');
    },
  };
}

/** Opens the morning list; milliseconds until it was there, and what it said. */
export async function listOnce(address, cookie) {
  const began = performance.now();
  const answer = await fetch(`${address}/`, { headers: { cookie } });
  if (answer.status !== 200) throw new Error(`the list answered ${answer.status}`);
  const html = await answer.text();
  return { took: performance.now() - began, html };
}
