import type { DayEventBody, StoredEventBody, Soreness } from '../adherence';
import { type Advice, type Complaint, type RegionId, furthestReach } from '../symptoms';
import type { EpisodeId, LocalDate } from '../units';

/** What a patient told of one day, folded; what was not told is null. */
export type DayReport = {
  /** After the sessions of the day, in their order. */
  readonly pains: readonly number[];
  readonly effort: number | null;
  /** The day's worst, whatever it was of. */
  readonly worst: number | null;
  /** The worst of each complaint, where more than one was asked about; left out where one was. */
  readonly worstOf?:
    | readonly { readonly episodeId: EpisodeId; readonly worst: number }[]
    | undefined;
  /** Furthest order along arm and leg, 0–6; −1 when asked and nothing was felt there. */
  readonly arm: number | null;
  readonly leg: number | null;
  readonly where: readonly RegionId[];
  readonly headache: boolean | null;
  readonly soreness: Soreness | null;
  readonly notes: readonly string[];
  readonly activities: readonly { readonly activity: string; readonly score: number }[];
  readonly reports: readonly {
    readonly complaint: Complaint;
    readonly severity: number;
    readonly advice: Advice;
  }[];
  /** Some of it was entered more than 48 h after its day. */
  readonly recalled: boolean;
  /** Some of it the clinic wrote down as told, on paper or by call. */
  readonly writtenDown: boolean;
};

export const NO_REPORT: DayReport = {
  pains: [],
  effort: null,
  worst: null,
  arm: null,
  leg: null,
  where: [],
  headache: null,
  soreness: null,
  notes: [],
  activities: [],
  reports: [],
  recalled: false,
  writtenDown: false,
};

/** One event about a day, with when it was told. */
export type ToldEvent = {
  readonly body: StoredEventBody;
  /** Entered more than 48 h after the day it is about. */
  readonly recalled: boolean;
  /** Written down by the clinic, as told. */
  readonly writtenDown?: boolean;
};

/** Entries later than this after their day are marked as recalled, in hours. Common practice, no source. */
export const RECALLED_AFTER_HOURS = 48;

/**
 * Folds what was told of one day, in the order it was told: a later word on the same thing counts,
 * and nothing is taken back by silence.
 */
export function foldReport(events: readonly ToldEvent[]): DayReport {
  return events.reduce<DayReport>(
    (report, { body, recalled, writtenDown }) => ({
      ...withEvent(report, body),
      writtenDown: report.writtenDown || writtenDown === true,
      recalled: report.recalled || (recalled && tellsOfTheDay(body)),
    }),
    NO_REPORT,
  );
}

function tellsOfTheDay(body: StoredEventBody): boolean {
  return body.type === 'daily' || body.type === 'morning' || body.type === 'weekly';
}

function withEvent(report: DayReport, body: StoredEventBody): DayReport {
  switch (body.type) {
    case 'check-in':
      return {
        ...report,
        pains: body.pain === null ? report.pains : [...report.pains, body.pain],
        effort: body.effort ?? report.effort,
        notes: body.word === '' ? report.notes : [...report.notes, body.word],
      };
    case 'report': {
      const { complaint, severity } = body.report;
      return {
        ...report,
        reports: [...report.reports, { complaint, severity, advice: body.advice }],
      };
    }
    case 'morning':
      return { ...report, soreness: body.soreness };
    case 'daily':
      return withDaily(report, body);
    case 'weekly':
      return { ...report, activities: body.activities };
    case 'started':
    case 'line':
    case 'told':
    case 'taken back':
    case 'count':
    case 'stopped':
    case 'ended':
      return report;
  }
}

function withDaily(report: DayReport, body: Extract<DayEventBody, { type: 'daily' }>): DayReport {
  const reach = furthestReach(body.where);
  const order = (chain: 'arm' | 'leg') => reach.find((one) => one.chain === chain)?.order ?? -1;
  return {
    ...report,
    ...worstIn(report, body),
    where: body.where,
    arm: order('arm'),
    leg: order('leg'),
    headache: body.headache ?? report.headache,
    notes: body.note === '' ? report.notes : [...report.notes, body.note],
  };
}

/**
 * The day's worst, and that of each complaint. A later word on a complaint counts, of one that was not told
 * of again the earlier stays, and the day's worst is never less than that of one complaint.
 */
function worstIn(
  { worst: before, worstOf: known = [] }: DayReport,
  { worst, worstOf: told = [] }: Extract<DayEventBody, { type: 'daily' }>,
): Pick<DayReport, 'worst' | 'worstOf'> {
  if (told.length === 0) return { worst: worst ?? before };
  const again = new Set(told.map(({ episodeId }) => episodeId));
  const worstOf = [...known.filter(({ episodeId }) => !again.has(episodeId)), ...told];
  return { worst: Math.max(worst ?? 0, ...worstOf.map((one) => one.worst)), worstOf };
}

/** Worst pain known of a day: what was said of the day, else the highest after a session. */
export function worstPain({ worst, pains }: DayReport): number | null {
  if (worst !== null) return worst;
  return pains.length > 0 ? Math.max(...pains) : null;
}

/** The day an event is about: its own word, else the day it happened on. */
export function dayOfEvent(body: StoredEventBody, happenedOn: LocalDate): LocalDate {
  return 'date' in body ? body.date : happenedOn;
}
