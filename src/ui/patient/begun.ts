import {
  type PackDay,
  type PackSession,
  type PatientPack,
  type ShownPack,
  dayOfPack,
} from '@/core/exchange';
import type { LocalDate } from '@/core/units';
import type { KeptSession } from './device/store';

/** What was touched to begin: one session of the day that was shown then. */
export type Begun = {
  readonly key: string;
  readonly end: 'least' | 'most';
  /** Where it was left off; null from its beginning. */
  readonly kept: KeptSession | null;
  readonly on: LocalDate;
};

/** What plays, as it was when it began: nothing that comes meanwhile changes it. */
export type Playing = {
  readonly pack: PatientPack;
  readonly day: PackDay;
  readonly session: PackSession;
  readonly end: 'least' | 'most';
  readonly kept: KeptSession | null;
};

/** A day of a pack as it stands on this phone; null where the pack does not reach it. */
export function dayShown<P extends Pick<ShownPack, 'days'>>(
  pack: P,
  today: LocalDate,
  stopped: boolean,
): PackDay | null {
  const day = dayOfPack(pack, today);
  return day && stopped ? { ...day, paused: 'after a stop', sessions: [], extra: null } : day;
}

/** A session of a day, planned or beyond the plan. */
export function sessionOf(day: PackDay, key: string): PackSession | null {
  return (
    [...day.sessions, ...(day.extra ? [day.extra] : [])].find((one) => one.key === key) ?? null
  );
}

/**
 * What plays of what was touched, by what this phone knows now. The page may have shown another day, as one
 * that was kept on the phone does, or another version of the programme: then nothing begins that nobody meant.
 *
 * @returns null where there is no such session today, or where it was left off in another version
 */
export function playingOf(
  { key, end, kept, on }: Begun,
  pack: PatientPack,
  today: LocalDate,
  stopped: boolean,
): Playing | null {
  const day = dayShown(pack, today, stopped);
  const session = day && sessionOf(day, key);
  if (!session || on !== today) return null;
  if (kept && kept.version !== day.programme?.version) return null;
  return { pack, day, session, end, kept };
}
