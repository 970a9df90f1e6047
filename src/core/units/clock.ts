/**
 * A minute of the wall clock as people read it and time fields take it; a minute past midnight is the next
 * day's. Empty for what is no number.
 *
 * @example clockText(490) // '08:10'
 */
export function clockText(minute: number): string {
  if (Number.isNaN(minute)) return '';
  const inDay = ((minute % 1440) + 1440) % 1440;
  const two = (value: number) => String(value).padStart(2, '0');
  return `${two(Math.floor(inDay / 60))}:${two(inDay % 60)}`;
}

/** Minutes of the day from "07:30"; NaN, which a record refuses with a sentence, otherwise. */
export function clockMinute(text: string): number {
  const match = /^(\d{1,2}):(\d\d)$/.exec(text.trim());
  return match ? Number(match[1]) * 60 + Number(match[2]) : Number.NaN;
}
