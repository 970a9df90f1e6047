import { SCHOOL_IDS } from '../exercise';
import { EPISODE_AREAS } from '../measures';
import { PAIN_AFTER, type PainAfter } from '../outlook';
import { MOVES, type Move } from '../progression';
import {
  type Mean,
  type Share,
  meanInterval,
  medianTime,
  shareInterval,
  survival,
  survivalAt,
} from '../statistics';
import { ANSWERS, type Answer, type EpisodeFacts } from './facts';
import {
  type Cell,
  FEWEST_PATIENTS,
  type Group,
  type Told,
  toldGroups,
  toldParts,
  toldTable,
} from './guard';
import { ENDINGS, type Ending, LAST_TOLD, type LastTold } from './leaving';

/** An episode's facts, and whose it is: told apart only to count patients. */
export type EpisodeOf = { readonly patient: string; readonly facts: EpisodeFacts };

/** What episodes are put side by side by. One at a time: two at once could be subtracted. */
export const COMPARED_BY = ['complaint', 'school'] as const;
export type ComparedBy = (typeof COMPARED_BY)[number];

/** What groups are called that are too small to stand alone. */
export const OTHERS = 'others together';

/** A count that is told, with the share of its whole; null where it is not told. */
export type ToldShare = (Share & { readonly count: number }) | null;

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

export type Band = {
  readonly from: number;
  /** Up to and with; null without end. */
  readonly to: number | null;
};
export type MinutesTable = Band &
  Mean & {
    readonly of: Told;
    /** Who did four fifths of it and more. */
    readonly most: ToldShare;
  };

/** So many of a thousand sessions, with the interval; null where it happened with one to four patients. */
export type Rate = { readonly per: number; readonly low: number; readonly high: number } | null;
export type ExerciseTable = {
  readonly id: string;
  readonly patients: number;
  readonly sessions: number;
  readonly flares: Rate;
  readonly stops: Rate;
  readonly leftOut: Rate;
};

export type ProposalTable = {
  readonly move: Move;
  readonly answers: Readonly<Record<Answer, Told>>;
  /** After those that were taken as they were or edited. */
  readonly pain: Readonly<Record<PainAfter, Told>>;
  readonly trouble: ToldShare;
};

export type Evidence =
  | { readonly kind: 'too few' }
  | {
      readonly kind: 'counted';
      readonly by: ComparedBy;
      readonly patients: number;
      readonly episodes: number;
      readonly groups: readonly GroupTable[];
      readonly leavingWeeks: readonly (Band & { readonly count: Told })[];
      readonly lastTold: readonly { readonly what: LastTold; readonly count: Told }[];
      readonly minutes: readonly MinutesTable[];
      readonly exercises: readonly ExerciseTable[];
      readonly proposals: readonly ProposalTable[];
    };

/** Weeks at which it is told to whom pain had changed. */
export const CHANGED_WEEKS = [4, 6, 8, 12, 16, 26] as const;
const LEAVING_WEEKS: readonly Band[] = [
  { from: 1, to: 1 },
  { from: 2, to: 2 },
  { from: 3, to: 4 },
  { from: 5, to: 8 },
  { from: 9, to: 12 },
  { from: 13, to: null },
];
const MINUTES: readonly Band[] = [
  { from: 0, to: 4 },
  { from: 5, to: 9 },
  { from: 10, to: 14 },
  { from: 15, to: 19 },
  { from: 20, to: 29 },
  { from: 30, to: null },
];
/** Doing so much of the dose is doing most of it. Common practice, no source. */
const MOST_OF_IT = 0.8;
/** Of fewer sessions a rate says nothing. Ours. */
const LEAST_SESSIONS = 50;
const MOST_EXERCISES = 60;

const patientsIn = (all: readonly EpisodeOf[]) => new Set(all.map(({ patient }) => patient)).size;
const cellOf = (all: readonly EpisodeOf[]): Cell => ({
  count: all.length,
  patients: patientsIn(all),
});
const isIn = ({ from, to }: Band, value: number) => value >= from && (to === null || value <= to);

/**
 * What a clinic's episodes say together. Everything told is of five patients at least, also what can be had
 * by subtracting; it claims no cause, since whoever was given something was given it for a reason.
 *
 * @param all in any order
 */
export function evidence(all: readonly EpisodeOf[], by: ComparedBy): Evidence {
  const pieces = evidencePieces(all, by);
  for (;;) {
    const { done, value } = pieces.next();
    if (done === true) return value;
  }
}

/** The same piece by piece, so that whoever reckons it for thousands may let others in between. */
export function* evidencePieces(
  all: readonly EpisodeOf[],
  by: ComparedBy,
): Generator<undefined, Evidence, undefined> {
  const patients = patientsIn(all);
  if (patients < FEWEST_PATIENTS) return { kind: 'too few' };
  const groups = groupTables(toldGroups(groupedBy(all, by), OTHERS, patientsIn));
  yield;
  const left = all.filter(({ facts: { ending } }) => ending === 'left');
  const leaving =
    patientsIn(left) < FEWEST_PATIENTS ? { leavingWeeks: [], lastTold: [] } : leavingOf(left);
  yield;
  const minutes = minutesTables(all);
  yield;
  const exercises = exerciseTables(all);
  yield;
  return {
    kind: 'counted',
    by,
    patients,
    episodes: all.length,
    groups,
    ...leaving,
    minutes,
    exercises,
    proposals: proposalTables(all),
  };
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

function groupTables(groups: readonly Group<EpisodeOf>[]): GroupTable[] {
  const withEnding = (members: readonly EpisodeOf[], ending: Ending) =>
    members.filter(({ facts }) => facts.ending === ending);
  const told = toldTable(
    groups.map(({ members }) => ENDINGS.map((ending) => cellOf(withEnding(members, ending)))),
  );
  return groups.map(({ name, members }, at) => ({
    name,
    episodes: members.length,
    endings: Object.fromEntries(
      ENDINGS.map((ending, index) => [
        ending,
        toldShare(told[at]?.[index] ?? null, members.length),
      ]),
    ) as Record<Ending, ToldShare>,
    dose: doseOf(members),
    ...changedIn(members),
  }));
}

function toldShare(count: Told, of: number): ToldShare {
  const share = count === null ? null : shareInterval(count, of);
  return share && count !== null ? { ...share, count } : null;
}

function doseOf(members: readonly EpisodeOf[]): GroupTable['dose'] {
  const told = members.filter(({ facts }) => facts.share !== null);
  if (patientsIn(told) < FEWEST_PATIENTS) return null;
  const mean = meanInterval(told.map(({ facts }) => facts.share ?? 0));
  return mean && { ...within01(mean), of: toldOf(told, members) };
}

/** How many of a known number something can be said of; null where too few are left to be told. */
function toldOf(some: readonly EpisodeOf[], all: readonly EpisodeOf[]): Told {
  const known = new Set(some);
  const rest = patientsIn(all.filter((one) => !known.has(one)));
  return rest > 0 && rest < FEWEST_PATIENTS ? null : some.length;
}

const within01 = ({ mean, low, high }: Mean): Mean => ({
  mean,
  low: Math.max(0, low),
  high: Math.min(1, high),
});

/** A week is told only where it changed with five patients or nobody since the week told before it. */
function changedIn(
  members: readonly EpisodeOf[],
): Pick<GroupTable, 'changed' | 'changedOf' | 'medianWeeks'> {
  const withPain = members.filter(({ facts: { pain } }) => pain !== null);
  const followed = withPain.flatMap(({ patient, facts: { pain } }) =>
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
    changed.push(
      at
        ? { weeks, share: 1 - at.share, low: 1 - at.high, high: 1 - at.low }
        : { weeks, ...(shareInterval(0, followed.length) ?? { share: 0, low: 0, high: 1 }) },
    );
    before = weeks;
  }
  const half = medianTime(steps);
  const isTold = changed.some(({ share }) => share >= 0.5);
  return { changed, changedOf: toldOf(withPain, members), medianWeeks: isTold ? half : null };
}

function leavingOf(left: readonly EpisodeOf[]) {
  const inWeek = (band: Band) => left.filter(({ facts: { week } }) => isIn(band, week ?? 0));
  const weeks = toldParts(LEAVING_WEEKS.map((band) => cellOf(inWeek(band))));
  const what = toldParts(
    LAST_TOLD.map((one) => cellOf(left.filter(({ facts: { lastTold } }) => lastTold === one))),
  );
  return {
    leavingWeeks: LEAVING_WEEKS.map((band, at) => ({ ...band, count: weeks[at] ?? null })),
    lastTold: LAST_TOLD.map((one, at) => ({ what: one, count: what[at] ?? null })),
  };
}

function minutesTables(all: readonly EpisodeOf[]): MinutesTable[] {
  const known = all.filter(({ facts }) => facts.minutes !== null && facts.share !== null);
  const bands = joined(
    MINUTES.map((band) => ({
      band,
      members: known.filter(({ facts }) => isIn(band, facts.minutes ?? 0)),
    })),
  );
  // Where the rest can be reckoned, so could what a share is of.
  const mayCount =
    toldOf(
      bands.flatMap(({ members }) => members),
      all,
    ) !== null;
  const does = (one: EpisodeOf) => (one.facts.share ?? 0) >= MOST_OF_IT;
  const told = toldTable(
    bands.map(({ members }) => [
      cellOf(members.filter(does)),
      cellOf(members.filter((one) => !does(one))),
    ]),
  );
  return bands.flatMap(({ band, members }, at) => {
    const mean = meanInterval(members.map(({ facts }) => facts.share ?? 0));
    if (!mean) return [];
    const most = mayCount ? toldShare(told[at]?.[0] ?? null, members.length) : null;
    return [{ ...band, ...within01(mean), of: mayCount ? members.length : null, most }];
  });
}

type InBand = { readonly band: Band; readonly members: readonly EpisodeOf[] };

/** A band of too few is put to the one below it; the lowest to the one above. None where all are too few. */
function joined(bands: readonly InBand[]): InBand[] {
  const found: InBand[] = [];
  for (const next of bands.filter(({ members }) => members.length > 0)) {
    const last = found.at(-1);
    const isFew = (one: InBand) => patientsIn(one.members) < FEWEST_PATIENTS;
    if (last && (isFew(last) || isFew(next)))
      found[found.length - 1] = {
        band: { from: last.band.from, to: next.band.to },
        members: [...last.members, ...next.members],
      };
    else found.push(next);
  }
  return found.filter(({ members }) => patientsIn(members) >= FEWEST_PATIENTS);
}

type Sum = { readonly patients: Set<string>; count: number };
const nothing = (): Sum => ({ patients: new Set(), count: 0 });
function put(sum: Sum, patient: string, count: number): void {
  if (count > 0) sum.patients.add(patient);
  sum.count += count;
}

function exerciseTables(all: readonly EpisodeOf[]): ExerciseTable[] {
  const COUNTED = ['sessions', 'flares', 'stops', 'leftOut'] as const;
  const found = new Map<string, Record<(typeof COUNTED)[number], Sum>>();
  for (const { patient, facts } of all)
    for (const exercise of facts.exercises) {
      const known = found.get(exercise.id) ?? {
        sessions: nothing(),
        flares: nothing(),
        stops: nothing(),
        leftOut: nothing(),
      };
      for (const name of COUNTED) put(known[name], patient, exercise[name]);
      found.set(exercise.id, known);
    }
  const rate = ({ patients: { size }, count }: Sum, of: number): Rate => {
    const share = size > 0 && size < FEWEST_PATIENTS ? null : shareInterval(count, of);
    return share && { per: share.share * 1000, low: share.low * 1000, high: share.high * 1000 };
  };
  return [...found]
    .flatMap(([id, { sessions, flares, stops, leftOut }]): ExerciseTable[] =>
      sessions.patients.size < FEWEST_PATIENTS || sessions.count < LEAST_SESSIONS
        ? []
        : [
            {
              id,
              patients: sessions.patients.size,
              sessions: sessions.count,
              flares: rate(flares, sessions.count),
              stops: rate(stops, sessions.count),
              leftOut: rate(leftOut, sessions.count + leftOut.count),
            },
          ],
    )
    .sort((a, b) => b.sessions - a.sessions || (a.id < b.id ? -1 : 1))
    .slice(0, MOST_EXERCISES);
}

function proposalTables(all: readonly EpisodeOf[]): ProposalTable[] {
  const given = all.flatMap(({ patient, facts }) =>
    facts.proposals.map((proposal) => ({ patient, ...proposal })),
  );
  const cell = (some: typeof given): Cell => ({
    count: some.length,
    patients: new Set(some.map(({ patient }) => patient)).size,
  });
  const moves = MOVES.map((move) => given.filter((one) => one.move === move));
  const taken = moves.map((some) => some.filter(({ answer }) => answer !== 'declined'));
  const told = {
    answers: toldTable(
      moves.map((some) =>
        ANSWERS.map((answer) => cell(some.filter((one) => one.answer === answer))),
      ),
    ),
    pain: toldTable(
      taken.map((some) => PAIN_AFTER.map((pain) => cell(some.filter((one) => one.pain === pain)))),
    ),
    trouble: toldTable(
      taken.map((some) =>
        [true, false].map((trouble) => cell(some.filter((one) => one.trouble === trouble))),
      ),
    ),
  };
  return MOVES.flatMap((move, at): ProposalTable[] => {
    if (cell(moves[at] ?? []).patients < FEWEST_PATIENTS) return [];
    const mayTell = cell(taken[at] ?? []).patients >= FEWEST_PATIENTS;
    const row = (rows: readonly Told[][], index: number) => rows[at]?.[index] ?? null;
    return [
      {
        move,
        answers: Object.fromEntries(
          ANSWERS.map((answer, index) => [answer, row(told.answers, index)]),
        ) as Record<Answer, Told>,
        pain: Object.fromEntries(
          PAIN_AFTER.map((pain, index) => [pain, mayTell ? row(told.pain, index) : null]),
        ) as Record<PainAfter, Told>,
        trouble: mayTell ? toldShare(row(told.trouble, 0), taken[at]?.length ?? 0) : null,
      },
    ];
  });
}
