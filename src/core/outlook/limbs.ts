import { LIMBS, type LimbVerdict, type Reading, judgeLimb, limbReadings } from '../follow';
import type { DayReport } from '../history';
import type { LineFacts } from '../progression';
import type { LocalDate } from '../units';
import type { FollowRecord } from './record';

/** The limbs anything was ever marked on, with their readings. */
export function limbSeries(reports: ReadonlyMap<LocalDate, DayReport>) {
  const days = [...reports].map(([date, { where, arm, leg }]) => ({
    date,
    // A day on which the places were asked has an order for both chains.
    where: arm === null && leg === null ? null : where,
  }));
  return LIMBS.map((limb) => ({ limb, readings: limbReadings(limb, days) })).filter(
    ({ readings }: { readings: readonly Reading[] }) => readings.some(({ value }) => value >= 0),
  );
}

/** Every limb that was told of, with what it does. */
export function limbsOf({
  reports,
  deficitGrows,
}: Pick<FollowRecord, 'reports' | 'deficitGrows'>): LimbVerdict[] {
  return limbSeries(reports).map(({ limb, readings }) => judgeLimb(limb, readings, deficitGrows));
}

/** What progression reads of the limbs: a growing deficit before all, then the worst of them. */
export function limbWord(
  verdicts: readonly Pick<LimbVerdict, 'course' | 'better'>[],
  deficitGrows: boolean,
): LineFacts['limb'] {
  if (deficitGrows) return 'deficit grows';
  if (verdicts.some(({ course }) => course === 'spreading')) return 'spreading';
  if (verdicts.some(({ better }) => better)) return 'drawing in';
  return verdicts.length === 0 ? null : 'no clear change';
}
