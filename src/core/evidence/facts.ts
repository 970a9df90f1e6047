import { summarise } from '../adherence';
import { isUnsettled } from '../course';
import type { SchoolId } from '../exercise';
import { PAIN_MATTERS, importantAfter } from '../follow';
import { type DayReport, adherenceHistory, firstDay, worstPain } from '../history';
import type { EpisodeArea } from '../measures';
import { AFTER_DAYS, type PainAfter, type RecordFacts, painAfter } from '../outlook';
import type { Move } from '../progression';
import type { SentVersion } from '../programme';
import { median } from '../statistics';
import { type LocalDate, addDays, textOrder } from '../units';
import { type Leaving, isRed, leavingOf } from './leaving';

/** Which school most lines of the first programme follow. */
export type LedBy = SchoolId | 'no school' | 'several';

/** What a proposal was answered with. */
export const ANSWERS = ['accepted', 'edited', 'declined'] as const;
export type Answer = (typeof ANSWERS)[number];

/** What one exercise came to in an episode, in sessions that had it. */
export type ExerciseFacts = {
  readonly id: string;
  readonly sessions: number;
  /** Of them, pain over 5 was told or trouble next morning. */
  readonly flares: number;
  /** Of them, ended for a symptom, of this exercise or another. */
  readonly stops: number;
  /** Of them, left out. */
  readonly leftOut: number;
};

/** What one episode tells the clinic about its own work. Nothing in it names anybody. */
export type EpisodeFacts = Leaving & {
  readonly area: EpisodeArea | null;
  readonly school: LedBy;
  /** Least minutes of the first programme's fullest day; null where it cannot be said. */
  readonly minutes: number | null;
  /** Share of the dose done in the first four weeks, 0–1; null with too few due days. */
  readonly share: number | null;
  /**
   * Whole weeks until pain had changed for the better by as much as matters, or as long as it was told
   * without that; null where it began low or too little was told.
   */
  readonly pain: { readonly weeks: number; readonly happened: boolean } | null;
  readonly exercises: readonly ExerciseFacts[];
  readonly proposals: readonly {
    readonly move: Move;
    readonly answer: Answer;
    readonly pain: PainAfter;
    /** Whether pain over 5, trouble next morning or a stop was told in the fortnight after. */
    readonly trouble: boolean;
  }[];
};

/** A decision on a proposal, as far as it is counted. */
type Decision = {
  readonly key: string;
  readonly version: number;
  readonly move: Move;
  readonly decision: Answer | 'taken back';
  readonly lineage: string;
  readonly localDate: LocalDate;
};

export type EpisodeRecord = {
  readonly area: EpisodeArea | null;
  readonly openedOn: LocalDate;
  readonly closedOn: LocalDate | null;
  /** The last day that counts. */
  readonly until: LocalDate;
  readonly facts: RecordFacts;
  readonly reports: ReadonlyMap<LocalDate, DayReport>;
  /** Newest first. */
  readonly decisions: readonly Decision[];
};

/** The dose is looked at over the first weeks, where at least so many days asked for something. */
const SHARE_DAYS = 28;
const LEAST_DUE_DAYS = 14;
/** Who began under it has little to gain. Ours, no source. */
const LEAST_PAIN = 2;
const FIRST_READINGS = 7;

/**
 * What an episode tells.
 *
 * @param minutesOf least minutes of a version's fullest day
 * @returns null where no programme of it had begun by then
 */
export function episodeFacts(
  record: EpisodeRecord,
  minutesOf: (version: SentVersion) => number | null,
): EpisodeFacts | null {
  const { openedOn, closedOn, area } = record;
  const until = closedOn !== null && closedOn < record.until ? closedOn : record.until;
  const versions = record.facts.versions.filter(
    ({ effectiveFrom }) => effectiveFrom >= openedOn && effectiveFrom <= until,
  );
  // Beside another complaint only what is for this one is its own; sessions are of both.
  const { counted } = record.facts;
  const own = counted ? versions.flatMap((version) => withLines(version, counted)) : versions;
  const [first] = own;
  const from = firstDay(own);
  if (!first || from === null) return null;
  const days = adherenceHistory({ ...record.facts, versions }, from, until);
  const { done } = record.facts;
  return {
    area,
    school: ledBy(first),
    minutes: minutesOf(first),
    share: shareOf(days),
    pain: painCourse(record.reports, from, until),
    exercises: exercisesOf(record, own, from, until),
    proposals: proposalsOf(
      {
        ...record,
        decisions: record.decisions.filter(({ lineage }) => counted?.has(lineage) ?? true),
      },
      from,
      until,
    ),
    ...leavingOf(days, done, record.reports, closedOn !== null && closedOn <= record.until),
  };
}

function withLines(version: SentVersion, counted: ReadonlySet<string>): SentVersion[] {
  const lines = version.lines.filter(({ lineage }) => counted.has(lineage));
  return lines.length > 0 ? [{ ...version, lines }] : [];
}

function ledBy({ lines }: SentVersion): LedBy {
  const counts = new Map<SchoolId, number>();
  for (const { school } of lines)
    if (school) counts.set(school.id, (counts.get(school.id) ?? 0) + 1);
  const [most, next] = [...counts].sort(([, a], [, b]) => b - a);
  if (!most) return 'no school';
  return next?.[1] === most[1] ? 'several' : most[0];
}

function shareOf(days: Parameters<typeof summarise>[0]): number | null {
  const { daysDue, share } = summarise(days.slice(0, SHARE_DAYS));
  return daysDue >= LEAST_DUE_DAYS ? share : null;
}

function painCourse(
  reports: EpisodeRecord['reports'],
  from: LocalDate,
  until: LocalDate,
): EpisodeFacts['pain'] {
  const readings = [...reports].flatMap(([date, report]) => {
    const value = date >= from && date <= until ? worstPain(report) : null;
    return value === null ? [] : [{ date, value }];
  });
  const begun = readings
    .sort((a, b) => textOrder(a.date, b.date))
    .slice(0, FIRST_READINGS)
    .map(({ value }) => value);
  if (begun.length < FIRST_READINGS || median(begun) < LEAST_PAIN) return null;
  const found = importantAfter(readings, PAIN_MATTERS);
  return found && { weeks: Math.ceil(found.days / 7), happened: found.happened };
}

function exercisesOf(
  { facts, reports }: EpisodeRecord,
  versions: readonly SentVersion[],
  from: LocalDate,
  until: LocalDate,
): ExerciseFacts[] {
  const idOf = new Map(
    versions.flatMap(({ number, lines }) =>
      lines.map(({ lineage, exerciseId }) => [`${number} ${lineage}`, exerciseId] as const),
    ),
  );
  const found = new Map<string, { -readonly [K in keyof ExerciseFacts]: ExerciseFacts[K] }>();
  for (const [date, { sessions }] of facts.done) {
    if (date < from || date > until) continue;
    const nextMorning = reports.get(addDays(date, 1))?.soreness ?? null;
    for (const { version, lines, pain, state } of sessions) {
      const flared = isRed(pain) || isUnsettled({ nextMorning });
      // An exercise that stands twice in a session is in it once.
      const had = new Map<string, boolean>();
      for (const { lineage, share, skipped } of lines) {
        const id = idOf.get(`${version} ${lineage}`);
        if (id === undefined || (share === 0 && skipped === null)) continue;
        had.set(id, had.get(id) === true || share > 0);
      }
      for (const [id, did] of had) {
        const known = found.get(id) ?? { id, sessions: 0, flares: 0, stops: 0, leftOut: 0 };
        if (!did) known.leftOut += 1;
        else {
          known.sessions += 1;
          known.flares += Number(flared);
          known.stops += Number(state === 'stopped for a symptom');
        }
        found.set(id, known);
      }
    }
  }
  return [...found.values()];
}

function proposalsOf(
  { decisions, reports, facts }: EpisodeRecord,
  from: LocalDate,
  until: LocalDate,
): EpisodeFacts['proposals'] {
  const takenBack = new Set<string>();
  return decisions.flatMap(({ key, version, move, decision, localDate }) => {
    if (localDate < from || localDate > until) return [];
    const about = `${version} ${key}`;
    if (decision === 'taken back') {
      takenBack.add(about);
      return [];
    }
    // Newest first: what was taken back came before.
    if (takenBack.delete(about)) return [];
    return [
      {
        move,
        answer: decision,
        pain: painAfter(localDate, reports, until),
        trouble: troubleAfter(localDate, until, facts.done, reports),
      },
    ];
  });
}

function troubleAfter(
  on: LocalDate,
  until: LocalDate,
  done: RecordFacts['done'],
  reports: EpisodeRecord['reports'],
): boolean {
  const last = addDays(on, AFTER_DAYS);
  return Array.from({ length: AFTER_DAYS }, (_, at) => addDays(on, at + 1))
    .filter((date) => date <= last && date <= until)
    .some((date) => {
      const report = reports.get(date);
      return (
        isRed(report ? worstPain(report) : null) ||
        isUnsettled({ nextMorning: report?.soreness ?? null }) ||
        done.get(date)?.sessions.some(({ state }) => state === 'stopped for a symptom') === true
      );
    });
}
