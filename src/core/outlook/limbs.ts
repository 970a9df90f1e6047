import {
  LIMBS,
  type Limb,
  type LimbVerdict,
  type Reading,
  WINDOW_READINGS,
  judgeLimb,
  limbReadings,
} from '../follow';
import type { DayReport } from '../history';
import type { LimbWord } from '../progression';
import { type LocalDate, textOrder } from '../units';
import type { FollowRecord } from './record';

/** A limb that anything was ever marked on, with its readings. */
export type LimbSeries = { readonly limb: Limb; readonly readings: readonly Reading[] };

/** A record's reports never change, and are asked for their limbs by several: they are found once. */
const known = new WeakMap<ReadonlyMap<LocalDate, DayReport>, readonly LimbSeries[]>();

/** The limbs anything was ever marked on, with their readings. */
export function limbSeries(reports: ReadonlyMap<LocalDate, DayReport>): readonly LimbSeries[] {
  const found = known.get(reports) ?? seriesOf(reports);
  known.set(reports, found);
  return found;
}

function seriesOf(reports: ReadonlyMap<LocalDate, DayReport>): readonly LimbSeries[] {
  const days = [...reports].map(([date, { where, arm, leg }]) => ({
    date,
    // A day on which the places were asked has an order for both chains; of one it was asked as well.
    where: arm === null && leg === null ? null : where,
  }));
  // Most patients mark no limb at all.
  if (!days.some(({ where }) => where !== null && where.length > 0)) return [];
  return LIMBS.map((limb) => ({ limb, readings: limbReadings(limb, days) })).filter(
    ({ readings }) => readings.some(({ value }) => value >= 0),
  );
}

/** Every limb that was told of, with what it does. */
export function limbsOf({
  reports,
  deficitSince,
}: Pick<FollowRecord, 'reports' | 'deficitSince'>): LimbVerdict[] {
  return limbSeries(reports).map(({ limb, readings }) =>
    judgeLimb(limb, readings, deficitSince !== null),
  );
}

/** What progression reads of the limbs: a growing deficit before all, then the worst of them. */
export function limbWord(
  verdicts: readonly Pick<LimbVerdict, 'course' | 'better'>[],
  deficitGrows: boolean,
): LimbWord | null {
  if (deficitGrows) return 'deficit grows';
  if (verdicts.some(({ course }) => course === 'spreading')) return 'spreading';
  if (verdicts.some(({ better }) => better)) return 'drawing in';
  return verdicts.length === 0 ? null : 'no clear change';
}

/**
 * Since when the limbs do what is said of them: the examination that found it, or the first of the last
 * readings that reached the furthest, so that a decision holds for one spell and not for the next.
 */
export function limbSince({
  reports,
  deficitSince,
}: Pick<FollowRecord, 'reports' | 'deficitSince'>): LocalDate | null {
  if (deficitSince !== null) return deficitSince;
  const dates = limbSeries(reports).flatMap(({ readings }) => {
    const lately = [...readings].sort((a, b) => textOrder(a.date, b.date)).slice(-WINDOW_READINGS);
    const furthest = Math.max(...lately.map(({ value }) => value));
    return lately.find(({ value }) => value === furthest)?.date ?? [];
  });
  return dates.sort()[0] ?? null;
}
