import {
  type AdherenceSummary,
  type DayAdherence,
  SESSION_DONE_FROM,
  SKIP_REASONS,
  type SkipReason,
  summarise,
} from '../adherence';
import type { DayDone } from '../history';
import { type LocalDate, percentText } from '../units';

/** One day as "are they doing it" reads it. */
export type DoingDay = {
  readonly date: LocalDate;
  readonly adherence: DayAdherence;
  readonly done: DayDone;
  /** Session keys that were due. */
  readonly due: readonly string[];
  /** Lineages that were due, with how often. */
  readonly lines: readonly { readonly lineage: string; readonly times: number }[];
  /** Some of what was told of the day was told more than 48 h later. */
  readonly recalled: boolean;
  /** Some of it the clinic wrote down as told; left out where it did not. */
  readonly writtenDown?: boolean;
};

export type LineDoing = {
  readonly lineage: string;
  readonly due: number;
  /** Occurrences done, each at most once in full. */
  readonly done: number;
  readonly skips: Readonly<Partial<Record<SkipReason, number>>>;
};

export type TimeDoing = { readonly key: string; readonly due: number; readonly done: number };

export type Doing = {
  readonly summary: AdherenceSummary;
  /** Days with anything due, and those with at least half a session's dose done. */
  readonly daysDue: number;
  readonly daysDone: number;
  readonly lines: readonly LineDoing[];
  readonly times: readonly TimeDoing[];
  readonly skips: Readonly<Partial<Record<SkipReason, number>>>;
  /** Share of the whole dose done beyond what was due, 0 and more. */
  readonly overDoing: number;
  readonly recalledDays: number;
  /** Days that the clinic wrote down, as the patient told them. */
  readonly writtenDownDays: number;
  /** Sessions begun and left before half of them was done. */
  readonly brokenOff: number;
};

/** What was done over a span of days: by line, by time of day, with why not. */
export function doingOver(days: readonly DoingDay[]): Doing {
  const past = days.filter(({ adherence }) => adherence.kind === 'due');
  const lines = new Map<string, { due: number; done: number; skips: Map<SkipReason, number> }>();
  const times = new Map<string, { due: number; done: number }>();
  const skips = new Map<SkipReason, number>();
  let [daysDone, brokenOff] = [0, 0];
  for (const { adherence, done, due, lines: dueLines } of past) {
    const open = adherence.kind === 'due' && adherence.isToday && adherence.share < 1;
    const doneKeys = new Set(
      done.sessions.filter(({ share }) => share >= SESSION_DONE_FROM).map(({ key }) => key),
    );
    if (doneKeys.size > 0) daysDone += 1;
    brokenOff += done.sessions.filter(
      ({ key, share, state }) => due.includes(key) && share < SESSION_DONE_FROM && state !== 'open',
    ).length;
    // What is still to come today is not missed.
    if (!open) {
      for (const key of due) {
        const one = times.get(key) ?? { due: 0, done: 0 };
        times.set(key, { due: one.due + 1, done: one.done + Number(doneKeys.has(key)) });
      }
      for (const { lineage, times: often } of dueLines) {
        const line = lines.get(lineage) ?? { due: 0, done: 0, skips: new Map() };
        const shares = done.lines.find((one) => one.lineage === lineage)?.shares ?? [];
        const capped = shares.reduce((sum, share) => sum + Math.min(1, share), 0);
        line.due += often;
        line.done += Math.min(often, capped);
        lines.set(lineage, line);
      }
    }
    for (const { lines: logs } of done.sessions)
      for (const { lineage, skipped } of logs) {
        if (skipped === null) continue;
        skips.set(skipped, (skips.get(skipped) ?? 0) + 1);
        const line = lines.get(lineage);
        line?.skips.set(skipped, (line.skips.get(skipped) ?? 0) + 1);
      }
  }
  const summary = summarise(days.map(({ adherence }) => adherence));
  return {
    summary,
    daysDue: past.length,
    daysDone,
    lines: [...lines].map(([lineage, { due, done, skips: why }]) => ({
      lineage,
      due,
      done,
      skips: Object.fromEntries(why),
    })),
    times: [...times].map(([key, counts]) => ({ key, ...counts })),
    skips: Object.fromEntries(skips),
    overDoing: overDoing(days),
    recalledDays: days.filter(({ recalled }) => recalled).length,
    writtenDownDays: days.filter(({ writtenDown }) => writtenDown === true).length,
    brokenOff,
  };
}

/** Days on which work beyond the dose was done, as a share of the days with anything due. */
function overDoing(days: readonly DoingDay[]): number {
  const due = days.filter(({ adherence }) => adherence.kind === 'due');
  const beyond = due.filter(
    ({ adherence }) => 'extraSeconds' in adherence && adherence.extraSeconds > 0,
  );
  return due.length === 0 ? 0 : beyond.length / due.length;
}

export const OBSTACLES = [
  'too long',
  'pain',
  'unclear',
  'no equipment',
  'forgets',
  'one time of day',
  'away',
  'over-doing',
] as const;
export type Obstacle = (typeof OBSTACLES)[number];

export type ObstacleFound = {
  readonly obstacle: Obstacle;
  /** With its numbers. */
  readonly say: string;
  readonly remedy: string;
};

export type ObstacleFacts = {
  readonly doing: Doing;
  /** Least minutes of the fullest day, and what the patient said they have; null when not asked. */
  readonly minutes: number | null;
  readonly minutesADay: number | null;
};

/** Adherence from here on needs no remedy. Common practice, no source. */
export const GOOD_ADHERENCE = 0.8;
/** So many skips for one reason point to it. Common practice, no source. */
const TELLING = 3;

type Rule = {
  readonly obstacle: Obstacle;
  readonly remedy: string;
  readonly reads: (facts: ObstacleFacts) => string | null;
};

const skipsFor = (reason: SkipReason) => (facts: ObstacleFacts) => {
  const count = facts.doing.skips[reason] ?? 0;
  return count >= TELLING ? `“${reason}” ${count} times` : null;
};

/** Common practice, no source. Not done: find out why, and shorten or simplify before adding anything. */
const RULES: readonly Rule[] = [
  {
    obstacle: 'pain',
    remedy: 'Step the painful line back before anything else.',
    reads: skipsFor('pain'),
  },
  {
    obstacle: 'too long',
    remedy: 'Shorten it: the cheapest cuts stand on the Plan desk.',
    reads: (facts) => {
      const { minutes, minutesADay } = facts;
      if (minutes !== null && minutesADay !== null && minutes > minutesADay)
        return `${minutes} min a day asked, ${minutesADay} min there`;
      return skipsFor('no time')(facts);
    },
  },
  {
    obstacle: 'unclear',
    remedy: 'Teach it again, and write the fix as the patient’s own cue.',
    reads: skipsFor('forgot how'),
  },
  {
    obstacle: 'no equipment',
    remedy: 'Take the substitute; the exercise names what will do.',
    reads: skipsFor('no equipment'),
  },
  {
    obstacle: 'away',
    remedy: 'Offer a pause, or the lines that need nothing.',
    reads: skipsFor('away'),
  },
  {
    obstacle: 'one time of day',
    remedy: 'Move that session on the day ribbon, or drop to the time that works.',
    reads: ({ doing: { times } }) => {
      const shares = times
        .filter(({ due }) => due >= 5)
        .map(({ key, due, done }) => ({ key, due, done, share: done / due }))
        .sort((a, b) => a.share - b.share);
      const [worst] = shares;
      const best = shares.at(-1);
      return worst && best && best.share - worst.share >= 0.3
        ? `${worst.done} of ${worst.due} of one session, ${best.done} of ${best.due} of another`
        : null;
    },
  },
  {
    obstacle: 'forgets',
    remedy: 'Tie it to something done every day, or turn the reminders on.',
    reads: ({ doing }) => {
      const reasons = SKIP_REASONS.reduce((sum, reason) => sum + (doing.skips[reason] ?? 0), 0);
      const missed = doing.summary.sessionsDue - doing.summary.sessionsDone;
      return missed >= TELLING && reasons < TELLING
        ? `${missed} sessions never begun, with hardly a reason told`
        : null;
    },
  },
  {
    obstacle: 'over-doing',
    remedy: 'Say again that more is not better; the most is written in the dose.',
    reads: ({ doing }) =>
      doing.overDoing >= 0.25
        ? `beyond the dose on ${percentText(doing.overDoing)} of the days`
        : null,
  },
];

/** What most likely stands in the way, the most telling first; nothing where adherence is good. */
export function obstaclesOf(facts: ObstacleFacts): ObstacleFound[] {
  const { share } = facts.doing.summary;
  return RULES.filter(
    ({ obstacle }) => obstacle === 'over-doing' || (share !== null && share < GOOD_ADHERENCE),
  ).flatMap(({ obstacle, remedy, reads }) => {
    const say = reads(facts);
    return say === null ? [] : [{ obstacle, say, remedy }];
  });
}
