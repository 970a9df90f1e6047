import type { Range, Seconds } from '@/core/units';

/** A session's time in whole minutes, up: "about 6 min", "5 to 7 min". */
export function formatRange({ least, most }: Range<Seconds>): string {
  const minutes = (value: number) => Math.max(1, Math.round(value / 60));
  const [a, b] = [minutes(least), minutes(most)];
  return a === b ? `about ${a} min` : `${a} to ${b} min`;
}
