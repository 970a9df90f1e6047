import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import { copyOf, jestIn } from './copies';
import type { Mutation } from './operators';
import { probed } from './probes';

/** Asked of every number: it runs nothing of what it lists. */
export const LISTING = 'scripts/rules/listing.test.ts';

type Passed = { readonly ms: number; readonly reached: readonly number[] };
/** What a test file passes of the changes, test by test and beside them, and how long each takes. */
export type Reached = {
  readonly path: string;
  readonly beside: Passed;
  readonly tests: readonly (Passed & { readonly name: string })[];
};

/** Of a test file what is asked of one change; `names` is null where that is everything. */
export type Asked = {
  readonly path: string;
  readonly names: readonly string[] | null;
  readonly ms: number;
  readonly order: number;
};

/** A file beside the change notices more often than one that passes it on its way. */
const BESIDE_IT = 8;

/** The tests that pass a change, the likeliest to notice soon first. */
export function askedOf(
  index: number,
  { file }: Pick<Mutation, 'file'>,
  reached: readonly Reached[],
): Asked[] {
  return reached
    .flatMap(({ path, beside, tests }): Asked[] => {
      const everything = beside.reached.includes(index);
      const passing = everything ? tests : tests.filter(({ reached: own }) => own.includes(index));
      if (!everything && passing.length === 0) return [];
      const ms = passing.reduce((sum, one) => sum + one.ms, beside.ms);
      return [
        {
          path,
          names: everything ? null : passing.map(({ name }) => name),
          ms,
          order: dirname(path) === dirname(file) ? ms / BESIDE_IT : ms,
        },
      ];
    })
    .toSorted((a, b) => a.order - b.order);
}

type Numbered = { readonly mutation: Mutation; readonly index: number };

/**
 * Runs every test once in a copy with probes: which test passes which change. It refuses to measure
 * where a test fails without any change, since everything would count as noticed.
 *
 * @throws Error when the copy's tests do not pass as they are
 */
export async function firstRun(
  root: string,
  changes: readonly Numbered[],
  projects: readonly string[],
  lanes: number,
): Promise<readonly Reached[]> {
  const folder = copyOf(root);
  for (const file of new Set(changes.map(({ mutation }) => mutation.file))) {
    const path = join(folder, file);
    const own = changes.filter(({ mutation }) => mutation.file === file);
    writeFileSync(path, probed(file, readFileSync(path, 'utf8'), own));
  }
  const kept = join(folder, 'reached.jsonl');
  writeFileSync(kept, '');
  const ended = await jestIn(folder, {
    // The listing reads the code itself, where the probes are.
    args: ['--selectProjects', ...projects, '--testPathIgnorePatterns', LISTING, '/node_modules/'],
    ms: 1_800_000,
    lanes,
    shown: true,
    // A module that is lent is loaded by one file and used by many: what passes it would not be told.
    environment: { REACHED_FILE: kept, OWN_MODULES: '1' },
  });
  if (ended.kind !== 'passed')
    throw new Error('a test fails without any change: mend it first, or nothing is measured');
  const lines = readFileSync(kept, 'utf8').split('\n').filter(Boolean);
  rmSync(folder, { recursive: true, force: true });
  return lines
    .map((line) => JSON.parse(line) as Reached)
    .map((one) => ({ ...one, path: relative(folder, one.path) }));
}
