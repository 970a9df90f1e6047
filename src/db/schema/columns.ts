import { customType, integer, text } from 'drizzle-orm/sqlite-core';
import type { z } from 'zod';
import type { Instant, WallMinute, Zone } from '@/core/schedule';
import type { Frozen, LocalDate, EpisodeId, VisitId } from '@/core/units';
import { isMarked, markUnreadable } from '../unreadable';

/**
 * A column that holds a value as JSON. It is checked against its schema once, where it is read; what
 * does not fit is a named problem (see `../unreadable`), never a half-read value.
 *
 * @param what the record in a clinician's words, such as "a measurement"
 */
export function json<Schema extends z.ZodType>(name: string, what: string, schema: Schema) {
  return jsonColumn(name, schema, (stored) => readAs(schema, stored, what));
}

/** What a column of JSON is asked in the place of a stored text: it answers with its schema. */
const WHICH_SCHEMA = Symbol('which schema');

/** The schema of a column of JSON; null for every other column. */
export function schemaOfColumn(column: {
  readonly columnType: string;
  readonly mapFromDriverValue: (value: unknown) => unknown;
}): z.ZodType | null {
  if (column.columnType !== 'SQLiteCustomColumn') return null;
  return column.mapFromDriverValue(WHICH_SCHEMA) as z.ZodType;
}

/** So many texts of a shared column are remembered, the oldest of them forgotten. */
const MOST_SHARED = 2000;

/**
 * A column of JSON whose few texts stand in many rows, such as an exercise as it was sent: each text is
 * read and checked once, and the rows share what it says. Never for a patient's own words, which would
 * outlive their erasure in memory.
 */
export function sharedJson<Schema extends z.ZodType>(name: string, what: string, schema: Schema) {
  const known = new Map<string, Frozen<z.output<Schema>>>();
  return jsonColumn(name, schema, (stored) => {
    const found = known.get(stored);
    if (found !== undefined) return found;
    const value = readAs(schema, stored, what);
    // What cannot be read is found anew each time: the door counts it.
    if (isMarked(value)) return value;
    const [oldest] = known.size >= MOST_SHARED ? known.keys() : [];
    if (oldest !== undefined) known.delete(oldest);
    known.set(stored, value);
    return value;
  });
}

function jsonColumn<Schema extends z.ZodType>(
  name: string,
  schema: Schema,
  fromDriver: (stored: string) => Frozen<z.output<Schema>>,
) {
  return customType<{ data: Frozen<z.output<Schema>>; driverData: string }>({
    dataType: () => 'text',
    toDriver: (value) => JSON.stringify(value),
    fromDriver: (stored: unknown) =>
      stored === WHICH_SCHEMA
        ? (schema as unknown as Frozen<z.output<Schema>>)
        : fromDriver(stored as string),
  })(name);
}

/** What does not fit is marked here; the door, which knows the row, finds and throws it. */
function readAs<Schema extends z.ZodType>(
  schema: Schema,
  stored: string,
  what: string,
): Frozen<z.output<Schema>> {
  const read = schema.safeParse(jsonIn(stored));
  return (read.success ? read.data : markUnreadable(what)) as Frozen<z.output<Schema>>;
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
