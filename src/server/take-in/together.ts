import type { ClinicId } from '@/core/units';
import {
  LIST_BOUNDS,
  type SessionEventRow,
  type Statement,
  allOf,
  audits,
  eventsOnDaysAre,
  guard,
  insertEvents,
  putDaysDone,
} from '@/db';
import { now } from '../clock';
import { foldedDay } from './fold';
import { knownDays, knownEvents } from './known';
import { type SortedOut, sortOut, stopRule } from './sort-out';
import type { Post, TakenIn } from './teller';

/** What becomes of a post once its statements are stored. */
export type Outcome =
  | { readonly kind: 'taken in'; readonly value: TakenIn }
  /** A day would hold more than can be read; nothing of this post is stored. */
  | { readonly kind: 'too much' };

/**
 * What is written of some posts of one clinic, each of another patient, as one transaction: as many
 * statements as for one. Guards hold the devices' access, and the folds against events that another
 * process stores meanwhile; where one does not hold, nothing of any post is stored.
 */
export async function writtenTogether(
  clinicId: ClinicId,
  posts: readonly Post[],
): Promise<{ readonly statements: Statement[]; readonly outcomes: Outcome[] }> {
  const receivedAt = now();
  const known = await knownEvents(clinicId, posts);
  const sorted = posts.map((post) => ({ post, ...sortOut(post, known, receivedAt) }));
  const daysOf = ({ fresh, post }: { fresh: readonly SessionEventRow[]; post: Post }) =>
    [...new Set(fresh.map(({ localDate }) => localDate))].map((date) => ({
      patientId: post.teller.patient.id,
      date,
    }));
  const before = await knownDays(clinicId, sorted.flatMap(daysOf));
  const folded = sorted.map((one) => ({
    ...one,
    days: daysOf(one).map((day) => ({
      day,
      rows: [...before.events(day), ...one.fresh.filter(({ localDate }) => localDate === day.date)],
    })),
  }));
  const isTooMuch = ({ days }: (typeof folded)[number]) =>
    days.some(({ rows }) => rows.length > LIST_BOUNDS.eventsOfADay);
  const kept = folded.filter((one) => !isTooMuch(one) && one.fresh.length + one.aside.length > 0);
  const fresh = kept.flatMap((one) => one.fresh);
  const days = kept.flatMap(({ post, days: own }) =>
    own.map(({ day, rows }) =>
      foldedDay(post.teller.patient, day.date, rows, before.versions(day.patientId)),
    ),
  );
  const stops: Statement[] = [];
  for (const { post, fresh: own } of kept)
    stops.push(...(await stopRule(post.teller, own, receivedAt)));
  const statements =
    kept.length === 0
      ? []
      : [
          guard('access', allOf(kept.map(({ post }) => post.teller.access))),
          ...kept.flatMap(({ aside }) => aside),
          ...(fresh.length > 0 ? [insertEvents(fresh)] : []),
          ...(days.length > 0
            ? [
                guard(
                  'day',
                  eventsOnDaysAre(
                    clinicId,
                    days.map(({ patientId, localDate, events }) => ({
                      patientId,
                      date: localDate,
                      events,
                    })),
                  ),
                ),
                putDaysDone(days),
              ]
            : []),
          ...stops,
          audits(
            kept.map(({ post: { teller } }) => ({
              clinicId,
              at: receivedAt,
              actor: teller.actor,
              verb: teller.verb,
              subject: { kind: 'patient', id: teller.patient.id },
            })),
          ),
        ];
  return {
    statements,
    outcomes: folded.map((one) =>
      isTooMuch(one) ? { kind: 'too much' } : { kind: 'taken in', value: takenIn(one) },
    ),
  };
}

function takenIn({ post, conflicts }: SortedOut & { readonly post: Post }): TakenIn {
  const inConflict = new Set(conflicts);
  return {
    stored: post.coming.events.map(({ id }) => id).filter((id) => !inConflict.has(id)),
    conflicts,
  };
}
