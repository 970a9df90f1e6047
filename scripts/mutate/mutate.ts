import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { dirname, join } from 'node:path';
import { parseArgs } from 'node:util';
import { copyOf } from './copies';
import { type Answer, asker } from './notice';
import { type Mutation, drawn, mutationsOf } from './operators';
import { firstRun } from './reached';

/**
 * Makes small changes of the code, one at a time in a copy, and counts those that a test notices:
 * `npm run mutate -- --core 400 --server 150 --seed …`. The seed is the newest commit's, unless one
 * is given. Survivors are printed and written to test-output/mutants.json. Of a folder that the draw met
 * less often than `--least`, so many are drawn beside it: they count for their folder, not for the whole,
 * since two changes of a folder say nothing of it.
 */
const ROOT = process.cwd();
const { values } = parseArgs({
  options: {
    core: { type: 'string', default: '400' },
    server: { type: 'string', default: '150' },
    seed: { type: 'string' },
    least: { type: 'string', default: '0' },
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
  /** Tests that find what they test by its folder, without importing it. */
  readonly byFolder: string | null;
};
const PARTS: readonly Part[] = [
  { name: 'core', folders: ['src/core'], projects: ['unit'], byFolder: null },
  {
    name: 'server',
    folders: ['src/server', 'src/db'],
    projects: ['unit', 'database'],
    byFolder: 'database/(routes|readers)',
  },
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

type Chosen = {
  readonly part: Part;
  readonly mutation: Mutation;
  readonly index: number;
  /** Drawn for its folder's sake, beside the draw. */
  readonly beside: boolean;
};
type Result = Mutation & {
  readonly part: Part['name'];
  readonly answer: Answer;
  readonly beside: boolean;
};

function byFolder<T extends Mutation>(ones: readonly T[]): ReadonlyMap<string, readonly T[]> {
  const folders = new Map<string, T[]>();
  for (const one of ones)
    folders.set(dirname(one.file), [...(folders.get(dirname(one.file)) ?? []), one]);
  return folders;
}

/** What is missing of a folder's least number, drawn from what the draw left of it. */
function besides(all: readonly Mutation[], plain: readonly Mutation[], seed: string): Mutation[] {
  const met = new Set(plain);
  return [...byFolder(all)].flatMap(([folder, ones]) => {
    const left = ones.filter((one) => !met.has(one));
    const missing = Number(values.least) - (ones.length - left.length);
    return drawn(left, Math.max(0, missing), `${seed} ${folder}`);
  });
}

async function measure(): Promise<void> {
  const seed =
    values.seed ?? execFileSync('git', ['rev-parse', 'HEAD'], { encoding: 'utf8' }).trim();
  const chosen = PARTS.flatMap((part) => {
    const all = part.folders
      .flatMap(filesOf)
      .filter((path) => !only || only.some((start) => path.startsWith(start)))
      .flatMap((path) => mutationsOf(path, readFileSync(join(ROOT, path), 'utf8')));
    const plain = drawn(all, Number(values[part.name]), `${seed} ${part.name}`);
    return [
      ...plain.map((mutation) => ({ part, mutation, beside: false })),
      ...besides(all, plain, seed).map((mutation) => ({ part, mutation, beside: true })),
    ];
  }).map((one, index): Chosen => ({ ...one, index }));
  const projects = [...new Set(chosen.flatMap(({ part }) => part.projects))];
  const reached = await firstRun(ROOT, chosen, projects, Number(values.lanes));
  console.log(`${chosen.length} changes, seed ${seed}`);
  const results: Result[] = [];
  const queue = [...chosen];
  await Promise.all(
    Array.from({ length: Number(values.lanes) }, async () => {
      const folder = copyOf(ROOT);
      const answerTo = asker(folder, reached);
      for (let next = queue.shift(); next; next = queue.shift()) {
        const { part, mutation, index, beside } = next;
        const answer = await answerTo({ index, mutation, ...part });
        results.push({ ...mutation, part: part.name, answer, beside });
        if (answer !== 'noticed') {
          const { file, line, operator, was, becomes } = mutation;
          console.log(
            `${answer}  ${file}:${line}  ${operator}: ${was.slice(0, 80).replace(/\s+/g, ' ')} → ${becomes}`,
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

function share(of: readonly Result[]): string {
  const noticed = of.filter(({ answer }) => answer !== 'survived').length;
  return `${noticed} of ${of.length} (${Math.round((100 * noticed) / Math.max(1, of.length))} %)`;
}

function report(results: readonly Result[]): void {
  for (const { name } of PARTS) {
    const own = results.filter(({ part }) => part === name);
    if (own.length === 0) continue;
    console.log(`\n${name}: ${share(own.filter(({ beside }) => !beside))} noticed`);
    for (const [folder, ones] of [...byFolder(own)].sort())
      console.log(`  ${folder}: ${share(ones)}`);
  }
}

void measure().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
