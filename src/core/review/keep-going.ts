import type { Dose } from '../dose';

/**
 * The keep-going dose after discharge: once a day, every other day, without an end; what is done
 * through the day, or only when needed, stays as it is. Common practice, no source.
 *
 * @example keepGoing(parse('10x10s 3/day daily until review')) // 10x10s 1/day every other day
 */
export function keepGoing(dose: Dose): Dose {
  const endless: Dose = { ...dose };
  delete (endless as { until?: unknown }).until;
  delete (endless as { fromDay?: unknown }).fromDay;
  const { times, days } = dose;
  if (times !== undefined && times.kind !== 'per day') return endless;
  const once: Dose = times ? { ...endless, times: { kind: 'per day', times: ONE } } : endless;
  const daily = days === undefined || days.kind === 'daily';
  return daily ? { ...once, days: { kind: 'every', n: 2 } } : once;
}

const ONE = { least: 1, most: 1 } as const;
