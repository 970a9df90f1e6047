import { readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { type Ended, type Failed, jestIn } from './copies';
import { type Mutation, mutated } from './operators';
import { type Asked, LISTING, type Reached, askedOf } from './reached';

/**
 * How long tests may take before they are said to hang, beside what they took in the first run: a busy
 * machine must not look like one that notices.
 */
const HANGS = { times: 4, atLeastMs: 180_000 } as const;

/** A change, and what is asked about it. */
export type Question = {
  readonly index: number;
  readonly mutation: Mutation;
  readonly projects: readonly string[];
  /** Tests that find what they test by its folder, without importing it; asked last where nothing passes. */
  readonly byFolder: string | null;
};

export type Answer = 'survived' | 'noticed' | 'noticed by hanging';

/** One who asks in a copy, a change after the other. */
export function asker(folder: string, reached: readonly Reached[]) {
  /** Tests that pass by themselves, without any change: a failure of theirs is the change's. */
  const passAlone = new Map<string, boolean>();
  const asking = join(folder, 'asked.json');

  function run(projects: readonly string[], asked: readonly Asked[], args: readonly string[]) {
    writeFileSync(
      asking,
      JSON.stringify(
        Object.fromEntries(
          asked.map(({ path, names, order }) => [join(folder, path), { names, order }]),
        ),
      ),
    );
    const took = asked.reduce((sum, { ms }) => sum + ms, 0);
    return jestIn(folder, {
      args: ['--selectProjects', ...projects, ...args],
      ms: Math.max(HANGS.atLeastMs, HANGS.times * took),
      environment: { ASKED_FILE: asking },
    });
  }

  /** Whether one of these tests fails by the change: some fail by themselves, since they need those before them. */
  async function byTheChange(
    projects: readonly string[],
    asked: readonly Asked[],
    failed: readonly Failed[],
  ): Promise<boolean> {
    for (const { path, name } of failed) {
      const own = asked.find((one) => join(folder, one.path) === path);
      if (name === null || !own?.names) return true;
      const key = `${own.path} ${name}`;
      if (!passAlone.has(key)) {
        const alone = [{ ...own, names: [name] }];
        const { kind } = await run(projects, alone, ['--runTestsByPath', own.path]);
        passAlone.set(key, kind === 'passed');
      }
      if (passAlone.get(key)) return true;
    }
    return failed.length === 0;
  }

  async function withChange<T>(mutation: Mutation, ask: () => Promise<T>): Promise<T> {
    const path = join(folder, mutation.file);
    const text = readFileSync(path, 'utf8');
    writeFileSync(path, mutated(text, mutation));
    try {
      return await ask();
    } finally {
      writeFileSync(path, text);
    }
  }

  const byPath = (asked: readonly Asked[], more: readonly string[] = []) => [
    '--runTestsByPath',
    ...asked.map(({ path }) => path),
    ...more,
  ];

  /**
   * Whether a test notices a change. Asked are the tests that passed it in the first run, then the whole of the
   * files beside it (a test may use what another has had reckoned); where none did (what runs in another
   * process says nothing), all that import it, and those that find it by its folder.
   */
  return async ({ index, mutation, projects, byFolder }: Question): Promise<Answer> => {
    const asked = askedOf(index, mutation, reached);
    const listing = mutation.operator === 'constant' ? [LISTING] : [];
    if (asked.length === 0) {
      const importing = await withChange(mutation, () =>
        run(projects, [], ['--findRelatedTests', mutation.file]),
      );
      if (importing.kind !== 'passed' || byFolder === null) return said(importing);
      return said(
        await withChange(mutation, () => run(projects, [], ['--testPathPatterns', byFolder])),
      );
    }
    const first = await withChange(mutation, () => run(projects, asked, byPath(asked, listing)));
    if (first.kind === 'failed' && (await byTheChange(projects, asked, first.tests)))
      return said(first);
    if (first.kind === 'hung') return said(first);
    const again = first.kind === 'failed' ? asked : asked.filter(isPartOfWhatIsBeside(mutation));
    if (again.length === 0) return said(first);
    const whole = again.map((one) => ({ ...one, names: null }));
    return said(await withChange(mutation, () => run(projects, whole, byPath(whole, listing))));
  };
}

/** Whether a file beside the change was asked for some of its tests only. */
const isPartOfWhatIsBeside =
  ({ file }: Mutation) =>
  ({ path, names }: Asked) =>
    names !== null && dirname(path) === dirname(file);

const said = ({ kind }: Ended): Answer =>
  kind === 'passed' ? 'survived' : kind === 'hung' ? 'noticed by hanging' : 'noticed';
