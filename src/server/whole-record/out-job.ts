import { type Zippable, strToU8, zipSync } from 'fflate';
import Papa from 'papaparse';
import { bundleOf } from '@/core/fhir';
import type { Instant } from '@/core/schedule';
import { dateIn } from '@/core/schedule';
import type { ClinicId, PatientId } from '@/core/units';
import { recordPage, recordTables } from '@/core/whole-record';
import {
  RECORD_FORMAT,
  RECORD_TABLE_NAMES,
  RECORD_VERSION,
  type RecordFile,
  type RecordRows,
  clinicById,
  exercisesNamed,
  membersOf,
  ownFigures,
  paperBytesOf,
  photoBytesOf,
  photosOfRecord,
  recordJsonSchema,
  recordRows,
  rowInFile,
} from '@/db';
import { doseInWords } from '../dose-in-words';
import { wholeRecord } from './whole';

/** What is to be taken out, as it crosses over to the thread. */
export type OutOrder = {
  readonly clinicId: ClinicId;
  readonly patientId: PatientId;
  readonly at: Instant;
  /** Address below which the clinic's resources stand. */
  readonly base: string;
};

const READ_ME = `One patient's whole record, taken out of Dry Lantern.

record.html         everything in words, for reading and printing
record.json         everything as data; it can be taken into another installation
record.schema.json  what record.json holds (JSON Schema, draft 7)
fhir.json           the same as HL7 FHIR R4, one bundle, for other systems
*.csv               measures, programme, sessions, what was told, screenings: for a spreadsheet
photos/, papers/    photos, and papers that came in, each under its day and its name in the record

Whoever holds these files holds a patient's record: keep them as your local rules ask.
`;

/** A clinic's words in a cell are never taken for a formula. */
const CSV = { escapeFormulae: true, newline: '\r\n' } as const;

/**
 * Every file of a record, in one zip; null where there is no such patient. It takes some seconds for
 * years of sessions, so a server has a thread do it.
 */
export async function outJob(order: OutOrder): Promise<Uint8Array | null> {
  const { clinicId, patientId, at, base } = order;
  const [rows, clinic, members] = await Promise.all([
    recordRows(clinicId, patientId),
    clinicById(clinicId),
    membersOf(clinicId),
  ]);
  const wrote = authorsOf(rows);
  const names = members.filter(({ id }) => wrote.has(id)).map(({ id, name }) => ({ id, name }));
  if (!clinic) return null;
  const record = wholeRecord(rows, clinic, names);
  if (!record) return null;
  const file = await recordFile(order, rows, { clinic, names });
  const made = new Date(at).toISOString();
  const files: Zippable = {
    'read-me.txt': strToU8(READ_ME),
    'record.html': strToU8(recordPage(record, { made: dateIn(clinic.zone, at), say: doseInWords })),
    'record.json': strToU8(JSON.stringify(file)),
    'record.schema.json': strToU8(JSON.stringify(recordJsonSchema(), null, 1)),
    'fhir.json': strToU8(JSON.stringify(bundleOf(record, { base, at, say: doseInWords }))),
  };
  for (const { name, columns, rows: cells } of recordTables(record))
    files[`${name}.csv`] = strToU8(
      `\uFEFF${Papa.unparse({ fields: [...columns], data: cells as (string | number | null)[][] }, CSV)}`,
    );
  for (const { id, takenOn } of await photosOfRecord(clinicId, patientId)) {
    const bytes = await photoBytesOf(clinicId, id);
    // A photo is small already: it is kept as it is.
    if (bytes) files[`photos/${takenOn}-${id}.jpg`] = [new Uint8Array(bytes), { level: 0 }];
  }
  for (const { id, receivedOn, mediaType, deletedAt } of rows.paper) {
    const bytes = deletedAt === null ? await paperBytesOf(clinicId, id) : null;
    const ending = mediaType === 'application/pdf' ? 'pdf' : 'jpg';
    if (bytes)
      files[`papers/${receivedOn}-${id}.${ending}`] = [new Uint8Array(bytes), { level: 0 }];
  }
  return zipSync(files, { mtime: made });
}

/** Everybody who is named in a record as having written in it. */
function authorsOf(rows: RecordRows): ReadonlySet<string> {
  const wrote = new Set<string>();
  for (const table of RECORD_TABLE_NAMES)
    for (const row of rows[table] as readonly Readonly<Record<string, unknown>>[])
      for (const field of AUTHOR_FIELDS) {
        const who = row[field];
        if (typeof who === 'string') wrote.add(who);
      }
  return wrote;
}
const AUTHOR_FIELDS = [
  'authorId',
  'practitionerId',
  'confirmedBy',
  'acknowledgedBy',
  'deletedBy',
  'endedBy',
  'writtenBy',
  'readBy',
] as const;

/** The file of our own, with the exercises and drawings that its programmes name. */
async function recordFile(
  { clinicId, at }: OutOrder,
  rows: RecordRows,
  {
    clinic,
    names,
  }: {
    clinic: { readonly name: string; readonly zone: string };
    names: RecordFile['members'];
  },
): Promise<RecordFile> {
  const lines = rows.programmeLine;
  const drawn = lines.flatMap(({ exercise }) => exercise.drawing ?? []);
  const [exercises, drawings] = await Promise.all([
    exercisesNamed(clinicId, [...new Set(lines.map(({ exerciseId }) => exerciseId))]),
    ownFigures(clinicId, [...new Set(drawn)]),
  ]);
  const tables = Object.fromEntries(
    RECORD_TABLE_NAMES.map((table) => [
      table,
      (rows[table] as Record<string, unknown>[]).map((row) => rowInFile(table, row)),
    ]),
  );
  return {
    format: RECORD_FORMAT,
    version: RECORD_VERSION,
    made: new Date(at).toISOString(),
    clinic: { name: clinic.name, zone: clinic.zone },
    members: names,
    exercises,
    drawings,
    tables: tables as RecordFile['tables'],
  } as RecordFile;
}
