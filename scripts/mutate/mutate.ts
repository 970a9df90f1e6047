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
import { dirname, join, relative } from 'node:path';
import { parseArgs } from 'node:util';
import { type Mutation, drawn, mutated, mutationsOf } from './operators';
import { probed } from './probes';

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

/** Only files whose paths begin so, with commas between. */
const only = values.only?.split(',');

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

/** The tests as they are, with what they pass kept, and the quickest asked first. */
const CONFIG = `import config from './jest.config.mjs';
export default {
  ...config,
  testSequencer: '<rootDir>/scripts/mutate/quickest-first.mjs',
  projects: config.projects.map((project) => ({
    ...project,
    setupFilesAfterEnv: [...project.setupFilesAfterEnv, '<rootDir>/scripts/mutate/record-reached.ts'],
  })),
};
`;

/** A copy of the project in which a lane may change files; packages are shared. */
function laneFolder(): string {
  const folder = mkdtempSync(join(tmpdir(), 'dry-lantern-mutate-'));
  for (const path of ['src', 'tests', 'scripts', 'docs', 'languages'])
    if (existsSync(join(ROOT, path)))
      cpSync(join(ROOT, path), join(folder, path), { recursive: true });
  for (const path of ['package.json', 'jest.config.mjs', 'tsconfig.json', 'next.config.ts'])
    cpSync(join(ROOT, path), join(folder, path));
  symlinkSync(join(ROOT, 'node_modules'), join(folder, 'node_modules'));
  writeFileSync(join(folder, 'jest.mutate.mjs'), CONFIG);
  return folder;
}

type Run = {
  readonly ms: number;
  readonly show: 'ignore' | 'inherit';
  readonly lanes: number;
};
/**
 * How long tests may take before they are said to hang, beside what they took in the first run: a busy
 * machine must not look like one that notices.
 */
const HANGS = { times: 4, atLeastMs: 600_000 } as const;

/** True when some test fails, or hangs: what is noticed by hanging is noticed, and said. */
function jestFails(
  folder: string,
  args: readonly string[],
  { ms, show, lanes }: Run,
  reached: string,
): Promise<boolean> {
  return new Promise((resolve) => {
    const child = spawn(
      process.execPath,
      [
        'node_modules/jest/bin/jest.js',
        ...['--config', 'jest.mutate.mjs', '--bail', '--silent'],
        ...(lanes === 1 ? ['--runInBand'] : ['--maxWorkers', String(lanes)]),
        ...args,
      ],
      {
        cwd: folder,
        stdio: show,
        detached: true,
        env: {
          ...process.env,
          REACHED_FILE: reached,
          // A module that is lent is loaded by one file and used by many: what passes it would not be told.
          ...(show === 'inherit' ? { REACHED: 'record', OWN_MODULES: '1' } : { REACHED: '' }),
        },
      },
    );
    const timer = setTimeout(() => {
      console.log(`hung after ${ms / 1000} s: ${args.join(' ')}`);
      if (child.pid) process.kill(-child.pid, 'SIGKILL');
    }, ms);
    child.on('exit', (code) => {
      clearTimeout(timer);
      resolve(code !== 0);
    });
  });
}

/** Asked of every number: it runs nothing of what it lists. */
const LISTING = 'scripts/rules/listing.test.ts';

/** What each test file passes of the changes, and how long it takes, by the first run. */
type Reached = { readonly path: string; readonly ms: number; readonly reached: readonly number[] };

/**
 * Runs every test once in a copy with probes: which file passes which change. It refuses to measure
 * where a test fails without any change, since everything would count as noticed.
 *
 * @throws Error when the copy's tests do not pass as they are
 */
async function firstRun(chosen: readonly Chosen[], kept: string): Promise<readonly Reached[]> {
  const folder = laneFolder();
  for (const file of new Set(chosen.map(({ mutation }) => mutation.file))) {
    const path = join(folder, file);
    const own = chosen.filter(({ mutation }) => mutation.file === file);
    writeFileSync(path, probed(file, readFileSync(path, 'utf8'), own));
  }
  const projects = [...new Set(chosen.flatMap(({ part }) => part.projects))];
  const failed = await jestFails(
    folder,
    // The listing reads the code itself, where the probes are.
    ['--selectProjects', ...projects, '--testPathIgnorePatterns', LISTING, '/node_modules/'],
    { ms: 1_800_000, show: 'inherit', lanes: Number(values.lanes) },
    kept,
  );
  if (failed)
    throw new Error('a test fails without any change: mend it first, or nothing is measured');
  rmSync(folder, { recursive: true, force: true });
  return readFileSync(kept, 'utf8')
    .split('\n')
    .filter(Boolean)
    .map((line) => JSON.parse(line) as Reached)
    .map(({ path, ...rest }) => ({ ...rest, path: relative(folder, path) }));
}

/**
 * Whether a test notices a change. Asked are the files that passed it in the first run, the quickest
 * first; where none did (what runs in another process says nothing), all that import it, and the walk
 * through the handlers, which finds them by their folder.
 */
async function noticed(
  folder: string,
  { part, mutation, index }: Chosen,
  reached: readonly Reached[],
): Promise<boolean> {
  const path = join(folder, mutation.file);
  const text = readFileSync(path, 'utf8');
  writeFileSync(path, mutated(text, mutation));
  const times = join(folder, 'reached.jsonl');
  writeFileSync(
    times,
    reached.map((one) => JSON.stringify({ ...one, path: join(folder, one.path) })).join('\n'),
  );
  const passed = reached.filter((one) => one.reached.includes(index));
  const took = (passed.length > 0 ? passed : reached).reduce((sum, { ms }) => sum + ms, 0);
  const run: Run = {
    ms: Math.max(HANGS.atLeastMs, HANGS.times * took),
    show: 'ignore',
    lanes: 1,
  };
  const fails = (args: readonly string[]) =>
    jestFails(folder, ['--selectProjects', ...part.projects, ...args], run, times);
  try {
    if (passed.length > 0)
      return await fails([
        '--runTestsByPath',
        ...passed.map((one) => one.path),
        ...(mutation.operator === 'constant' ? [LISTING] : []),
      ]);
    if (await fails(['--findRelatedTests', mutation.file])) return true;
    return (
      part.name === 'server' && (await fails(['--testPathPatterns', 'database/(routes|readers)']))
    );
  } finally {
    writeFileSync(path, text);
  }
}

type Chosen = { readonly part: Part; readonly mutation: Mutation; readonly index: number };
type Result = Mutation & { readonly part: Part['name']; readonly noticed: boolean };

async function measure(): Promise<void> {
  const seed =
    values.seed ?? execFileSync('git', ['rev-parse', 'HEAD'], { encoding: 'utf8' }).trim();
  const chosen = PARTS.flatMap((part) => {
    const all = part.folders
      .flatMap(filesOf)
      .filter((path) => !only || only.some((start) => path.startsWith(start)))
      .flatMap((path) => mutationsOf(path, readFileSync(join(ROOT, path), 'utf8')));
    return drawn(all, Number(values[part.name]), `${seed} ${part.name}`).map((mutation) => ({
      part,
      mutation,
    }));
  }).map((one, index): Chosen => ({ ...one, index }));
  const kept = join(mkdtempSync(join(tmpdir(), 'dry-lantern-reached-')), 'reached.jsonl');
  writeFileSync(kept, '');
  const reached = await firstRun(chosen, kept);
  console.log(`${chosen.length} changes, seed ${seed}`);
  const results: Result[] = [];
  const queue = [...chosen];
  await Promise.all(
    Array.from({ length: Number(values.lanes) }, async () => {
      const folder = laneFolder();
      for (let next = queue.shift(); next; next = queue.shift()) {
        const { part, mutation } = next;
        const found = await noticed(folder, next, reached);
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
