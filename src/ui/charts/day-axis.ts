import { type ScaleBand, scaleBand } from 'd3';
import { type LocalDate, dateRange, dayAndMonthText } from '@/core/units';

/** The one day axis all strips share, in the units of a strip's view box. */
export type DayAxis = {
  readonly dates: readonly LocalDate[];
  readonly x: ScaleBand<LocalDate>;
  readonly width: number;
  /** The dates that carry a label: Mondays or months, never crowded. */
  readonly ticks: readonly LocalDate[];
};

/** An axis from the first to the last date, both included. */
export function dayAxis(from: LocalDate, to: LocalDate, width: number): DayAxis {
  const dates = dateRange(from, to);
  const x = scaleBand<LocalDate>().domain(dates).range([0, width]).paddingInner(0.18);
  const every = Math.max(1, Math.ceil(dates.length / 12 / 7)) * 7;
  const ticks = dates.filter((_, index) => index % every === 0);
  return { dates, x, width, ticks };
}

/** A tick's text: "7 Sep". */
export function tickText(date: LocalDate): string {
  return dayAndMonthText(date, 'en');
}
