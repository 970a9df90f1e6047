import { execFileSync, spawn } from 'node:child_process';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { parseArgs } from 'node:util';
import { type Mutation, drawn, mutated, mutationsOf } from './operators';

/**
 * Makes small changes of the code, one at a time in a copy, and counts those that a test notices:
 * `npm run mutate -- --core 400 --server 150 --seed …`. The seed is the newest commit's, unless one
 * is given. Survivors are printed and written to test-output/mutants.json.
 */
const ROOT = process.cwd();
const { values } = parseArgs({
  options: {
    core: { type: 'string', default: '400' },
    server: { type: 'string', default: '150' },
    seed: { type: 'string' },
    lanes: { type: 'string', default: String(Math.max(1, cpus().length)) },
    only: { type: 'string' },
  },
});

type Part = {
  readonly name: 'core' | 'server';
  readonly folders: readonly string[];
  readonly projects: readonly string[];
};
const PARTS: readonly Part[] = [
  { name: 'core', folders: ['src/core'], projects: ['unit'] },
  { name: 'server', folders: ['src/server', 'src/db'], projects: ['unit', 'database'] },
];

function filesOf(folder: string): string[] {
  return readdirSync(join(ROOT, folder), { recursive: true })
    .map((name) => join(folder, String(name)))
    .filter(
      (path) =>
        /\.tsx?$/.test(path) &&
        !/\.test\.|\/index\.ts$|\/migrations\/|\/schema\//.test(path) &&
        statSync(join(ROOT, path)).isFile(),
    )
    .sort();
}

/** A copy of the project in which a lane may change files; packages are shared. */
function laneFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'dry-lantern-mutate-'));
  for (const path of ['src', 'tests', 'scripts', 'docs', 'languages'])
    if (existsSync(join(ROOT, path)))
      cpSync(join(ROOT, path), join(folder, path), { recursive: true });
  for (const path of ['package.json', 'jest.config.mjs', 'tsconfig.json', 'next.config.ts'])
    cpSync(join(ROOT, path), join(folder, path));
  symlinkSync(join(ROOT, 'node_modules'), join(folder, 'node_modules'));
  return folder;
}

/** How long tests may take before they are said to hang, ms: a busy machine must not look like one that notices. */
const HANGS_MS = 600_000;

/** True when some test fails, or hangs: what is noticed by hanging is noticed, and said. */
function jestFails(
  folder: string,
  args: readonly string[],
  timeout: number,
  show: 'ignore' | 'inherit' = 'ignore',
): Promise<boolean> {
  return new Promise((resolve) => {
    const child = spawn(
      process.execPath,
      ['node_modules/jest/bin/jest.js', '--bail', '--runInBand', '--silent', ...args],
      { cwd: folder, stdio: show, detached: true },
    );
    const timer = setTimeout(() => {
      console.log(`hung after ${timeout / 1000} s: ${args.join(' ')}`);
      if (child.pid) process.kill(-child.pid, 'SIGKILL');
    }, timeout);
    child.on('exit', (code) => {
      clearTimeout(timer);
      resolve(code !== 0);
    });
  });
}

/** Whether a test notices a change: those beside it first, then all that reach it. */
async function noticed(folder: string, part: Part, mutation: Mutation): Promise<boolean> {
  const path = join(folder, mutation.file);
  const text = readFileSync(path, 'utf8');
  writeFileSync(path, mutated(text, mutation));
  try {
    const beside = join(folder, dirname(mutation.file));
    const hasOwn = readdirSync(beside).some((name) => /\.test\.tsx?$/.test(name));
    if (
      hasOwn &&
      (await jestFails(
        folder,
        [
          '--selectProjects',
          'unit',
          '--testPathPatterns',
          `${dirname(mutation.file)}/[^/]*\\.test`,
        ],
        HANGS_MS,
      ))
    )
      return true;
    const related = ['--selectProjects', ...part.projects, '--findRelatedTests', mutation.file];
    if (await jestFails(folder, related, HANGS_MS)) return true;
    // The walk through all handlers finds them by their folder, so nobody sees that it reaches them.
    return (
      part.name === 'server' &&
      (await jestFails(
        folder,
        ['--selectProjects', 'database', '--testPathPatterns', 'database/(routes|readers)'],
        HANGS_MS,
      ))
    );
  } finally {
    writeFileSync(path, text);
  }
}

/**
 * Refuses to measure where a test fails without any change: everything would count as noticed.
 *
 * @throws Error when the copy's tests do not pass as they are
 */
async function passesAsItIs(projects: readonly string[]): Promise<void> {
  const folder = laneFolder();
  const failed = await jestFails(folder, ['--selectProjects', ...projects], 900_000, 'inherit');
  rmSync(folder, { recursive: true, force: true });
  if (failed)
    throw new Error('a test fails without any change: mend it first, or nothing is measured');
}

type Result = Mutation & { readonly part: Part['name']; readonly noticed: boolean };

async function measure(): Promise<void> {
  const seed =
    values.seed ?? execFileSync('git', ['rev-parse', 'HEAD'], { encoding: 'utf8' }).trim();
  const chosen = PARTS.flatMap((part) => {
    const all = part.folders
      .flatMap(filesOf)
      .filter((path) => !values.only || path.startsWith(values.only))
      .flatMap((path) => mutationsOf(path, readFileSync(join(ROOT, path), 'utf8')));
    return drawn(all, Number(values[part.name]), `${seed} ${part.name}`).map((mutation) => ({
      part,
      mutation,
    }));
  });
  await passesAsItIs([...new Set(chosen.flatMap(({ part }) => part.projects))]);
  console.log(`${chosen.length} changes, seed ${seed}`);
  const results: Result[] = [];
  const queue = [...chosen];
  await Promise.all(
    Array.from({ length: Number(values.lanes) }, async () => {
      const folder = laneFolder();
      for (let next = queue.shift(); next; next = queue.shift()) {
        const { part, mutation } = next;
        const found = await noticed(folder, part, mutation);
        results.push({ ...mutation, part: part.name, noticed: found });
        if (!found) {
          const { file, line, operator, was, becomes } = mutation;
          console.log(
            `survived  ${file}:${line}  ${operator}: ${was.slice(0, 80).replace(/\s+/g, ' ')} → ${becomes}`,
          );
        }
        if (results.length % 25 === 0) console.log(`  ${results.length} of ${chosen.length}`);
      }
      rmSync(folder, { recursive: true, force: true });
    }),
  );
  report(results);
  mkdirSync(join(ROOT, 'test-output'), { recursive: true });
  writeFileSync(join(ROOT, 'test-output/mutants.json'), JSON.stringify({ seed, results }, null, 1));
}

const share = (of: readonly Result[]) =>
  `${of.filter(({ noticed: found }) => found).length} of ${of.length} (${Math.round((100 * of.filter(({ noticed: found }) => found).length) / Math.max(1, of.length))} %)`;

function report(results: readonly Result[]): void {
  for (const { name } of PARTS) {
    const own = results.filter(({ part }) => part === name);
    if (own.length === 0) continue;
    console.log(`\n${name}: ${share(own)} noticed`);
    const folders = new Map<string, Result[]>();
    for (const one of own)
      folders.set(dirname(one.file), [...(folders.get(dirname(one.file)) ?? []), one]);
    for (const [folder, ones] of [...folders].sort()) console.log(`  ${folder}: ${share(ones)}`);
  }
}

void measure().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
