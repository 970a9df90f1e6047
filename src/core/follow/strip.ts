import { type DayAdherence, SORENESS_SAID, type SkipReason, type Soreness } from '../adherence';
import { type LocalDate, clockText, percentText } from '../units';
import { partAt } from './limb';

type Common = { readonly id: string; readonly name: string };
type At<T> = readonly ({ readonly date: LocalDate } & T)[];

/** One thing that happened over time, on the shared day axis. Points stand in the order of their days. */
export type Strip = Common &
  (
    | { readonly kind: 'dose'; readonly days: readonly DayAdherence[] }
    /** When sessions were begun, minutes of the wall clock. */
    | {
        readonly kind: 'times';
        readonly points: At<{ readonly minute: number; readonly share: number }>;
      }
    | {
        readonly kind: 'skips';
        readonly points: At<{ readonly by: Readonly<Partial<Record<SkipReason, number>>> }>;
      }
    /** A lowest and a highest of each day, such as pain after sessions and the day's worst. */
    | {
        readonly kind: 'band';
        readonly most: number;
        readonly points: At<{
          readonly low: number;
          readonly high: number;
          readonly recalled: boolean;
        }>;
      }
    /** Order along a limb, 0–6; −1 where nothing was felt. */
    | {
        readonly kind: 'reach';
        readonly chain: 'arm' | 'leg';
        readonly points: At<{ readonly value: number }>;
      }
    | { readonly kind: 'yes-no'; readonly points: At<{ readonly value: boolean }> }
    | { readonly kind: 'soreness'; readonly points: At<{ readonly value: Soreness }> }
    | {
        readonly kind: 'line';
        readonly unit: string;
        /** In other words than the number with its unit, where it has them. */
        readonly points: At<{ readonly value: number; readonly say?: string }>;
      }
    | { readonly kind: 'notes'; readonly points: At<{ readonly say: string }> }
  );

export type StripKind = Strip['kind'];

function doseText(day: DayAdherence): string {
  switch (day.kind) {
    case 'before':
    case 'future':
      return '';
    case 'rest':
      return 'rest day';
    case 'paused':
      return 'paused';
    case 'due':
      return `${percentText(day.share)}, ${day.sessionsDone} of ${day.sessionsDue}${day.isToday ? ' so far' : ''}`;
  }
}

/** What a strip says of one day, in a few words; empty where it says nothing. */
export function readStrip(strip: Strip, date: LocalDate): string {
  const on = <T extends { readonly date: LocalDate }>(points: readonly T[]) =>
    points.filter((point) => point.date === date);
  switch (strip.kind) {
    case 'dose': {
      const day = strip.days.find((one) => one.date === date);
      return day ? doseText(day) : '';
    }
    case 'times':
      return on(strip.points)
        .map(({ minute, share }) => `${clockText(minute)} (${percentText(share)})`)
        .join(', ');
    case 'skips':
      return on(strip.points)
        .flatMap(({ by }) => Object.entries(by).map(([reason, count]) => `${reason} ${count}`))
        .join(', ');
    case 'band':
      return on(strip.points)
        .map(
          ({ low, high, recalled }) =>
            `${low === high ? '' : `${low}–`}${high}${recalled ? ' (told later)' : ''}`,
        )
        .join(', ');
    case 'reach':
      return on(strip.points)
        .map(({ value }) => (value < 0 ? 'nothing felt' : partAt(strip.chain, value)))
        .join(', ');
    case 'yes-no':
      return on(strip.points)
        .map(({ value }) => (value ? 'yes' : 'no'))
        .join(', ');
    case 'soreness':
      return on(strip.points)
        .map(({ value }) => SORENESS_SAID[value])
        .join(', ');
    case 'line':
      return on(strip.points)
        .map(({ value, say }) => say ?? `${value} ${strip.unit}`.trim())
        .join(', ');
    case 'notes':
      return on(strip.points)
        .map(({ say }) => say)
        .join('; ');
  }
}

/** The strips as a table: a row for every day that any of them tells of, newest first. */
export function stripTable(
  strips: readonly Strip[],
  dates: readonly LocalDate[],
): { readonly date: LocalDate; readonly cells: readonly string[] }[] {
  return [...dates]
    .reverse()
    .map((date) => ({ date, cells: strips.map((strip) => readStrip(strip, date)) }))
    .filter(({ cells }) => cells.some((cell) => cell !== ''));
}

/** The days of a strip as one reading each, where it has numbers; the day's worst of a band. */
export function readingsOf(strip: Strip): { readonly date: LocalDate; readonly value: number }[] {
  switch (strip.kind) {
    case 'band':
      return strip.points.map(({ date, high }) => ({ date, value: high }));
    case 'reach':
    case 'line':
      return strip.points.map(({ date, value }) => ({ date, value }));
    case 'dose':
    case 'times':
    case 'skips':
    case 'yes-no':
    case 'soreness':
    case 'notes':
      return [];
  }
}
