import { z } from 'zod';
import { OwnFigure, StoredOwnExercise } from '@/core/records';
import { MOST_RECORD_ROWS } from './read';
import { rowSchema } from './row-schema';
import { RECORD_TABLE_NAMES, type RecordTable } from './tables';

export const RECORD_FORMAT = 'dry-lantern whole record';
/** A file of another number is refused: it is not read in part. */
export const RECORD_VERSION = 1;

const text = z.string().max(1000);

/**
 * The file of a patient's whole record. It holds everything the tables of a patient hold, so that it can
 * be taken into another installation and read on there as if it had been written there.
 */
export const RecordFile = z.strictObject({
  format: z.literal(RECORD_FORMAT),
  version: z.literal(RECORD_VERSION),
  /** When it was made. */
  made: z.iso.datetime(),
  /** Where. */
  clinic: z.strictObject({ name: text, zone: text }),
  /** Who wrote in it. */
  members: z.array(z.strictObject({ id: text, name: text })).max(2000),
  /** Exercises of the clinic's own that its programmes name, and their drawings. */
  exercises: z.array(z.strictObject({ id: text, body: StoredOwnExercise })).max(2000),
  drawings: z.array(z.strictObject({ id: text, body: OwnFigure })).max(2000),
  tables: z.strictObject(
    Object.fromEntries(
      RECORD_TABLE_NAMES.map((table) => [
        table,
        z.array(rowSchema(table)).max(table === 'patient' ? 1 : MOST_RECORD_ROWS),
      ]),
    ) as Record<RecordTable, z.ZodArray<z.ZodType<Record<string, unknown>>>>,
  ),
});
export type RecordFile = z.infer<typeof RecordFile>;
export type RecordFileRow = Record<string, unknown>;

/** The published schema of the file: JSON Schema, draft 7. What only code can check is left open in it. */
export function recordJsonSchema(): object {
  return z.toJSONSchema(RecordFile, { io: 'input', target: 'draft-7', unrepresentable: 'any' });
}
