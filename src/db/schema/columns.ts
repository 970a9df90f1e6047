import { customType, integer, text } from 'drizzle-orm/sqlite-core';
import type { z } from 'zod';
import type { Instant, WallMinute, Zone } from '@/core/schedule';
import type { Frozen, LocalDate, EpisodeId, VisitId } from '@/core/units';
import { markUnreadable } from '../unreadable';

/**
 * A column that holds a value as JSON. It is checked against its schema once, where it is read; what
 * does not fit is a named problem (see `../unreadable`), never a half-read value.
 *
 * @param what the record in a clinician's words, such as "a measurement"
 */
export function json<Schema extends z.ZodType>(name: string, what: string, schema: Schema) {
  return customType<{ data: Frozen<z.output<Schema>>; driverData: string }>({
    dataType: () => 'text',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (stored): Frozen<z.output<Schema>> => {
      const read = schema.safeParse(jsonIn(stored));
      // Found and thrown by `read` in the door, which knows the row.
      return (read.success ? read.data : markUnreadable(what)) as Frozen<z.output<Schema>>;
    },
  })(name);
}

function jsonIn(stored: string): unknown {
  try {
    return JSON.parse(stored) as unknown;
  } catch {
    return undefined;
  }
}

/** A calendar date in the patient's zone, YYYY-MM-DD. */
export const date = (name: string) => text(name).$type<LocalDate>();

/** Milliseconds since 1970, UTC. */
export const instant = (name: string) => integer(name).$type<Instant>();

/** A time zone of the IANA database. */
export const zone = (name: string) => text(name).$type<Zone>();

/** Minutes of the wall clock since midnight. */
export const wallMinute = (name: string) => integer(name).$type<WallMinute>();

/**
 * Which episode a clinical record belongs to. Triggers refuse a new row without one, or with one of
 * another patient; null never stands in a row (older ones were given theirs by a migration).
 */
export const inEpisode = () => ({ episodeId: text('episode_id').$type<EpisodeId>() });

/** Episode and visit; the visit is null where the patient made the record away from the clinic. */
export const atVisit = () => ({ ...inEpisode(), visitId: text('visit_id').$type<VisitId>() });
