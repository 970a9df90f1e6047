import type { LocalDate } from '../units';
import type { SessionEventBody, StoredEventBody } from '../records';
import { isStopAdvice } from '../symptoms';
import { type SetCount, countedReps } from './set-count';

/** Why a line was not done. */
export const SKIP_REASONS = [
  'no time',
  'pain',
  'forgot how',
  'no equipment',
  'away',
  'other',
] as const;
export type SkipReason = (typeof SKIP_REASONS)[number];

/** What the device tells of a session, or of a day rather than a session; the record's own type. */
export type { SessionEventBody, StoredEventBody };

type Told<Type extends SessionEventBody['type']> = Extract<SessionEventBody, { type: Type }>;

/** What the device tells of a day; `date` is the day it is about. */
export type DayEventBody = Told<'report' | 'morning' | 'daily' | 'weekly'>;

/** One repetition or bout as it was done on the device. Counts are 1-based, times in seconds. */
export type RepDone = Told<'line'>['reps'][number];

/**
 * True for what pauses the programme until the clinic lets it go on: a session stopped for a symptom,
 * or a report whose advice is to stop and call. The phone and the clinic read the same rule.
 */
export function isStop(event: StoredEventBody): boolean {
  return (
    (event.type === 'stopped' && event.because === 'symptom') ||
    (event.type === 'report' && isStopAdvice(event.advice))
  );
}

/**
 * Whether yesterday's soreness has settled by the next morning, from none to much worse. `some` is the
 * one touch that says there was trouble and not yet what; a later word takes its place.
 */
export const SORENESS = ['none', 'settled', 'some', 'still sore', 'flare'] as const;
export type Soreness = (typeof SORENESS)[number];

/** The same as a clinician reads it. */
export const SORENESS_SAID: Readonly<Record<Soreness, string>> = {
  none: 'none',
  settled: 'settled',
  some: 'some trouble',
  'still sore': 'still sore',
  flare: 'flare',
};

/** Pain in words and numbers is a symptom; the rest is what was done. */
export type SessionSummary = {
  readonly sessionId: string;
  readonly date: LocalDate;
  readonly lines: readonly LineDone[];
  readonly state: 'open' | 'ended' | 'stopped' | 'stopped for a symptom';
  readonly pain: number | null;
  readonly effort: number | null;
  readonly word: string;
};

export type LineDone = {
  readonly lineage: string;
  /** As they were counted, where they were. */
  readonly reps: readonly RepDone[];
  /** Sets that the patient counted, the newest count of each. */
  readonly counts: readonly SetCount[];
  readonly skipped: SkipReason | null;
  /** Share of the dose that the clinic wrote down as told, 0–1; null where nothing was. */
  readonly told: number | null;
};

type LineSoFar = {
  readonly told: number | null;
  readonly reps: Map<string, RepDone>;
  readonly counts: Map<string, SetCount>;
  readonly skipped: SkipReason | null;
};

const NOTHING_SO_FAR = (): LineSoFar => ({
  told: null,
  reps: new Map(),
  counts: new Map(),
  skipped: null,
});

/**
 * Folds the events of one session, in the order they happened, into what was done. A repetition told
 * twice counts once, with the longer time; of two counts of a set, of pain and of effort the last
 * stands.
 */
export function foldSession(
  sessionId: string,
  date: LocalDate,
  events: readonly StoredEventBody[],
): SessionSummary {
  const lines = new Map<string, LineSoFar>();
  let state: SessionSummary['state'] = 'open';
  let pain: number | null = null;
  let effort: number | null = null;
  let word = '';
  for (const event of events) {
    switch (event.type) {
      case 'started':
      case 'taken back':
        break;
      case 'line': {
        const line = lines.get(event.lineage) ?? NOTHING_SO_FAR();
        for (const rep of event.reps)
          line.reps.set(placeOf(rep), longer(line.reps.get(placeOf(rep)), rep));
        lines.set(event.lineage, { ...line, skipped: event.skipped ?? line.skipped });
        break;
      }
      case 'told':
        lines.set(event.lineage, {
          ...(lines.get(event.lineage) ?? NOTHING_SO_FAR()),
          told: event.share,
        });
        break;
      case 'count': {
        const { lineage, round, side, direction, station, set, reps: told, load } = event;
        const count = { round, side, direction, station, set, reps: told, load };
        const line = lines.get(lineage) ?? NOTHING_SO_FAR();
        line.counts.set(placeOf({ ...count, rep: 0 }), count);
        lines.set(lineage, line);
        break;
      }
      case 'stopped':
        if (state !== 'stopped for a symptom') {
          state = event.because === 'symptom' ? 'stopped for a symptom' : 'stopped';
        }
        break;
      case 'ended':
        if (state === 'open') state = 'ended';
        break;
      case 'check-in':
        pain = event.pain ?? pain;
        effort = event.effort ?? effort;
        word = event.word || word;
        break;
      case 'report':
      case 'morning':
      case 'daily':
      case 'weekly':
        break;
    }
  }
  return {
    sessionId,
    date,
    lines: [...lines].map(([lineage, { reps, counts, skipped, told }]) => ({
      lineage,
      reps: countedReps([...reps.values()], [...counts.values()]),
      counts: [...counts.values()],
      skipped,
      told,
    })),
    state,
    pain,
    effort,
    word,
  };
}

function placeOf(rep: Omit<RepDone, 'held' | 'moved'>): string {
  return [rep.round, rep.side, rep.direction, rep.station, rep.set, rep.rep].join(' ');
}

function longer(known: RepDone | undefined, told: RepDone): RepDone {
  return known && known.held + known.moved >= told.held + told.moved ? known : told;
}
