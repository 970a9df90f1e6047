import { type Dose, doseDifference, sayDoseChange } from '../dose';
import type { SetUp } from '../records';
import { isAbout, sameFact, shortSetUp } from '../set-up';

export type ComparedLine = {
  readonly lineage: string;
  readonly name: string;
  readonly dose: Dose;
  readonly session: string | null;
  readonly setUp?: readonly SetUp[] | undefined;
};
export type ComparedVersion = { readonly rounds: number; readonly lines: readonly ComparedLine[] };

/**
 * What changed between two versions, a sentence for each line that did. Lines are the same where
 * their lineage is.
 *
 * @example ['Wall press: rest 30s → 60s', 'Added: Blade set', 'Rounds 1 → 2']
 */
export function versionDifference(before: ComparedVersion, after: ComparedVersion): string[] {
  const earlier = new Map(before.lines.map((line) => [line.lineage, line]));
  const later = new Map(after.lines.map((line) => [line.lineage, line]));
  const changed = after.lines.flatMap((line) => {
    const was = earlier.get(line.lineage);
    if (!was) return [`Added: ${line.name}`];
    const changes = doseDifference(was.dose, line.dose).map(sayDoseChange);
    if (was.session !== line.session)
      changes.push(`session ${was.session ?? 'any'} → ${line.session ?? 'any'}`);
    changes.push(...setUpChanges(was.setUp ?? [], line.setUp ?? []));
    return changes.length === 0 ? [] : [`${line.name}: ${changes.join(', ')}`];
  });
  const gone = before.lines
    .filter((line) => !later.has(line.lineage))
    .map((line) => `Left out: ${line.name}`);
  const rounds =
    before.rounds === after.rounds ? [] : [`Times through ${before.rounds} → ${after.rounds}`];
  const order = (version: ComparedVersion, other: ReadonlyMap<string, ComparedLine>) =>
    version.lines.filter((line) => other.has(line.lineage)).map((line) => line.lineage);
  const moved = order(before, later).join() !== order(after, earlier).join();
  return [...rounds, ...changed, ...gone, ...(moved ? ['The order changed'] : [])];
}

/** @example setUpChanges([pad of 4.5 cm], [pad of 3.5 cm]) // ['set-up: pad 4.5 cm → 3.5 cm'] */
function setUpChanges(before: readonly SetUp[], after: readonly SetUp[]): string[] {
  const added = withoutSame(after, before);
  const gone = withoutSame(before, after);
  const was = ({ fact }: SetUp) => gone.find((one) => isAbout(one.fact, fact));
  return [
    ...added.map((setUp) => {
      const old = was(setUp);
      return old
        ? `set-up: ${shortSetUp(old.fact)} → ${shortSetUp(setUp.fact)}`
        : `set-up: ${shortSetUp(setUp.fact)} added`;
    }),
    ...gone
      .filter((old) => !added.some(({ fact }) => isAbout(old.fact, fact)))
      .map(({ fact }) => `set-up: ${shortSetUp(fact)} taken away`),
  ];
}

const withoutSame = (those: readonly SetUp[], others: readonly SetUp[]) =>
  those.filter(({ fact }) => !others.some((other) => sameFact(fact, other.fact)));
