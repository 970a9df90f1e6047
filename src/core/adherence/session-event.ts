import type { Advice, RegionId, SymptomReport } from '../symptoms';
import type { LocalDate } from '../units';

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

/** One repetition or bout as it was done on the device. Counts are 1-based. */
export type RepDone = {
  readonly round: number;
  readonly side: 'left' | 'right' | null;
  readonly direction: number;
  readonly station: number;
  readonly set: number;
  readonly rep: number;
  /** Seconds held, really. */
  readonly held: number;
  /** Seconds of prescribed movement, really. */
  readonly moved: number;
};

/** What the device tells of a session, in the order it happened. */
export type SessionEventBody =
  | { readonly type: 'started' }
  | {
      readonly type: 'line';
      readonly lineage: string;
      readonly reps: readonly RepDone[];
      readonly skipped: SkipReason | null;
    }
  | { readonly type: 'stopped'; readonly because: 'enough' | 'symptom' }
  | { readonly type: 'ended' }
  | {
      readonly type: 'check-in';
      readonly pain: number | null;
      /** How hard it felt, 0–10. */
      readonly effort?: number | null;
      readonly word: string;
    }
  | DayEventBody;

/** What the device tells of a day rather than a session; `date` is the day it is about. */
export type DayEventBody =
  | {
      readonly type: 'report';
      readonly lineage: string | null;
      readonly report: SymptomReport;
      /** What the patient was told. */
      readonly advice: Advice;
    }
  | { readonly type: 'morning'; readonly date: LocalDate; readonly soreness: Soreness }
  | {
      readonly type: 'daily';
      readonly date: LocalDate;
      readonly worst: number | null;
      /** Places of the drawn body. */
      readonly where: readonly RegionId[];
      readonly headache: boolean | null;
      readonly note: string;
    }
  | {
      readonly type: 'weekly';
      readonly date: LocalDate;
      /** Activities the patient wants back, 0 cannot … 10 as before. */
      readonly activities: readonly { readonly activity: string; readonly score: number }[];
    };

/** Whether yesterday's soreness has settled by the next morning. */
export const SORENESS = ['none', 'settled', 'still sore', 'flare'] as const;
export type Soreness = (typeof SORENESS)[number];

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
  readonly reps: readonly RepDone[];
  readonly skipped: SkipReason | null;
};

/**
 * Folds the events of one session into what was done. Order and repetition of the events do not
 * matter: a repetition told twice counts once, with the longer time.
 */
export function foldSession(
  sessionId: string,
  date: LocalDate,
  events: readonly SessionEventBody[],
): SessionSummary {
  const lines = new Map<string, { reps: Map<string, RepDone>; skipped: SkipReason | null }>();
  let state: SessionSummary['state'] = 'open';
  let pain: number | null = null;
  let effort: number | null = null;
  let word = '';
  for (const event of events) {
    switch (event.type) {
      case 'started':
        break;
      case 'line': {
        const line = lines.get(event.lineage) ?? {
          reps: new Map<string, RepDone>(),
          skipped: null,
        };
        for (const rep of event.reps)
          line.reps.set(placeOf(rep), longer(line.reps.get(placeOf(rep)), rep));
        lines.set(event.lineage, { reps: line.reps, skipped: event.skipped ?? line.skipped });
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
    lines: [...lines].map(([lineage, { reps, skipped }]) => ({
      lineage,
      reps: [...reps.values()],
      skipped,
    })),
    state,
    pain,
    effort,
    word,
  };
}

function placeOf(rep: RepDone): string {
  return [rep.round, rep.side, rep.direction, rep.station, rep.set, rep.rep].join(' ');
}

function longer(known: RepDone | undefined, told: RepDone): RepDone {
  return known && known.held + known.moved >= told.held + told.moved ? known : told;
}
