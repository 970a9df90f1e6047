import { SCHOOL_IDS } from '../exercise';
import { EPISODE_AREAS } from '../measures';
import { FEWEST_PATIENTS } from '../outlook';
import {
  type Mean,
  type Share,
  meanInterval,
  medianTime,
  shareInterval,
  survival,
  survivalAt,
} from '../statistics';
import type { EpisodeFacts } from './facts';
import { type Group, type Told, toldGroups, toldTable } from './guard';
import { ENDINGS, type Ending } from './leaving';
import {
  type EpisodeOf,
  type ToldShare,
  cellOf,
  isFewPatients,
  patientsIn,
  toldKnown,
  toldShare,
  within01,
} from './told';

/** What episodes are put side by side by. One at a time: two at once could be subtracted. */
export const COMPARED_BY = ['complaint', 'school'] as const;
export type ComparedBy = (typeof COMPARED_BY)[number];

/** What groups are called that are too small to stand alone. */
export const OTHERS = 'others together';

/** To whom pain had changed by as much as matters within so many weeks. */
export type ChangedBy = Share & { readonly weeks: number };

export type GroupTable = {
  readonly name: string;
  readonly episodes: number;
  readonly endings: Readonly<Record<Ending, ToldShare>>;
  /** Of the dose of the first four weeks, mean of the episodes. */
  readonly dose: (Mean & { readonly of: Told }) | null;
  readonly changed: readonly ChangedBy[];
  /** Episodes whose pain can be followed. */
  readonly changedOf: Told;
  /** Weeks until half had changed; null where half had not, or it is not told. */
  readonly medianWeeks: number | null;
};

/** Weeks at which it is told to whom pain had changed. */
export const CHANGED_WEEKS = [4, 6, 8, 12, 16, 26] as const;

/** Each group by itself: how its episodes ended, how much was done, and how long until pain had changed. */
export function groupTables(all: readonly EpisodeOf[], by: ComparedBy): GroupTable[] {
  const groups = toldGroups(groupedBy(all, by), OTHERS, patientsIn);
  const withEnding = (members: readonly EpisodeOf[], ending: Ending) =>
    members.filter(({ facts }) => facts.ending === ending);
  const told = toldTable(
    groups.map(({ members }) => ENDINGS.map((ending) => cellOf(withEnding(members, ending)))),
  );
  const doseOf = toldKnown(groups, ({ share }) => share !== null);
  const painOf = toldKnown(groups, ({ pain }) => pain !== null);
  return groups.map(({ name, members }, at) => ({
    name,
    episodes: members.length,
    endings: Object.fromEntries(
      ENDINGS.map((ending, index) => [
        ending,
        toldShare(told[at]?.[index] ?? null, members.length),
      ]),
    ) as Record<Ending, ToldShare>,
    dose: doseIn(members, doseOf[at] ?? null),
    ...changedIn(members, painOf[at] ?? null),
  }));
}

/** Every episode in one group. */
function groupedBy(all: readonly EpisodeOf[], by: ComparedBy): Group<EpisodeOf>[] {
  const named = (names: readonly string[], nameOf: (facts: EpisodeFacts) => string) =>
    names.map((name) => ({ name, members: all.filter(({ facts }) => nameOf(facts) === name) }));
  switch (by) {
    case 'complaint':
      return named([...EPISODE_AREAS, 'not said'], ({ area }) => area ?? 'not said');
    case 'school':
      return named([...SCHOOL_IDS, 'several', 'no school'], ({ school }) => school);
  }
}

function doseIn(members: readonly EpisodeOf[], of: Told): GroupTable['dose'] {
  const told = members.filter(({ facts }) => facts.share !== null);
  if (isFewPatients(told)) return null;
  const mean = meanInterval(told.map(({ facts }) => facts.share ?? 0));
  return mean && { ...within01(mean), of };
}

/** A week is told only where it changed with five patients or nobody since the week told before it. */
function changedIn(
  members: readonly EpisodeOf[],
  of: Told,
): Pick<GroupTable, 'changed' | 'changedOf' | 'medianWeeks'> {
  const followed = members.flatMap(({ patient, facts: { pain } }) =>
    pain ? [{ patient, time: pain.weeks, happened: pain.happened }] : [],
  );
  if (new Set(followed.map(({ patient }) => patient)).size < FEWEST_PATIENTS)
    return { changed: [], changedOf: null, medianWeeks: null };
  const steps = survival(followed);
  const changed: ChangedBy[] = [];
  let before = 0;
  for (const weeks of CHANGED_WEEKS) {
    const since = followed.filter(
      ({ time, happened }) => happened && time > before && time <= weeks,
    );
    const still = followed.filter(({ time }) => time >= weeks);
    const few = (some: typeof followed) => {
      const { size } = new Set(some.map(({ patient }) => patient));
      return size > 0 && size < FEWEST_PATIENTS;
    };
    if (few(since) || still.length === 0 || few(still)) continue;
    const at = survivalAt(steps, weeks);
    const by = at
      ? { share: 1 - at.share, low: 1 - at.high, high: 1 - at.low }
      : shareInterval(0, followed.length);
    if (by) changed.push({ weeks, ...by });
    before = weeks;
  }
  const half = medianTime(steps);
  const isTold = changed.some(({ share }) => share >= 0.5);
  return { changed, changedOf: of, medianWeeks: isTold ? half : null };
}
