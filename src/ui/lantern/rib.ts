import { percent } from '@/core/units';
import type { DayAdherence } from '@/core/adherence';

/** One rib of a lantern: a day of the fortnight, or an exercise of today. */
export type Rib = {
  readonly kind: 'lit' | 'rest' | 'paused' | 'none';
  /** Lit length, 0–1; only of 'lit'. */
  readonly share: number;
  /** Today, or the exercise to do now: carries the wick. */
  readonly isNow: boolean;
};

/** The rib of a day. */
export function ribOfDay(day: DayAdherence): Rib {
  switch (day.kind) {
    case 'before':
    case 'future':
      return { kind: 'none', share: 0, isNow: false };
    case 'paused':
    case 'rest':
      return { kind: day.kind, share: 0, isNow: false };
    case 'due':
      return { kind: 'lit', share: day.share, isNow: day.isToday };
  }
}

/** What the lantern of days is said by: three texts of the patient's table. */
export type SayDays = (
  key: 'lantern.none' | 'lantern.days' | 'lantern.today',
  values?: Readonly<Record<string, number>>,
) => string;

/** The lantern of days in words. */
export function describeDays(days: readonly DayAdherence[], say: SayDays): string {
  const due = days.filter((day) => day.kind === 'due');
  const past = due.filter((day) => !day.isToday);
  if (due.length === 0) return say('lantern.none');
  const full = past.filter((day) => day.share >= 0.995).length;
  const missed = past.filter((day) => day.share === 0).length;
  const today = due.find((day) => day.isToday);
  const words = [
    say('lantern.days', { count: past.length, full, part: past.length - full - missed, missed }),
  ];
  if (today) words.push(say('lantern.today', { percent: percent(today.share) }));
  return words.join(' ');
}
