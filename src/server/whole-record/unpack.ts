import { strFromU8, unzipSync } from 'fflate';
import { RecordFile } from '@/db';

/** Bounds of what is taken in, all in bytes once it is unpacked. */
export const UNPACKED_LIMITS = {
  record: 256 * 1024 * 1024,
  photo: 2 * 1024 * 1024,
  photos: 1000,
  paper: 11 * 1024 * 1024,
  /** All photos and papers together. */
  pictures: 400 * 1024 * 1024,
  /** Files looked at in a zip, whatever they are. */
  files: 3000,
} as const;

/** A record's file and its photos by their ids, or why they cannot be read, in sentences. */
export type Unpacked =
  | {
      readonly ok: true;
      readonly file: RecordFile;
      readonly photos: ReadonlyMap<string, Uint8Array>;
      readonly papers: ReadonlyMap<string, Uint8Array>;
    }
  | { readonly ok: false; readonly problems: readonly string[] };

/** Faults of a file that are named; the rest are counted. */
const MOST_TOLD = 20;
const PHOTO_NAME = /^photos\/(?:\d{4}-\d\d-\d\d-)?([0-9a-f-]{36})\.jpg$/;
const PAPER_NAME = /^papers\/(?:\d{4}-\d\d-\d\d-)?([0-9a-f-]{36})\.(?:pdf|jpg)$/;
const ZIP = [0x50, 0x4b];

const refused = (...problems: readonly string[]): Unpacked => ({ ok: false, problems });

/**
 * Reads a record's file: the zip that was taken out, or its `record.json` alone. What does not stand in
 * its schema is refused whole, and told.
 */
export function unpack(bytes: Uint8Array): Unpacked {
  const zipped = ZIP.every((byte, at) => bytes[at] === byte);
  if (!zipped) return readFile(bytes, new Map(), new Map());
  let files: Readonly<Record<string, Uint8Array>>;
  let count = 0;
  let pictures = 0;
  let tooLarge = false;
  try {
    files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        count += 1;
        if (count > UNPACKED_LIMITS.files) return false;
        const most = mostOf(name);
        if (most === null) return false;
        if (name !== 'record.json') pictures += originalSize;
        if (originalSize > most || pictures > UNPACKED_LIMITS.pictures) tooLarge = true;
        return !tooLarge;
      },
    });
  } catch {
    return refused('This zip cannot be read: it is cut short or damaged.');
  }
  if (tooLarge || count > UNPACKED_LIMITS.files)
    return refused('This zip holds more than a record does.');
  const record = files['record.json'];
  if (!record) return refused('There is no record.json in this zip.');
  const photos = named(files, PHOTO_NAME);
  if (photos.size > UNPACKED_LIMITS.photos)
    return refused('This zip holds more photos than a record may have.');
  return readFile(record, photos, named(files, PAPER_NAME));
}

type Named = ReadonlyMap<string, Uint8Array>;

/** The files of such names, each under the id in its name. */
function named(files: Readonly<Record<string, Uint8Array>>, pattern: RegExp): Named {
  return new Map(
    Object.entries(files).flatMap(([name, bytes]) => {
      const id = pattern.exec(name)?.[1];
      return id === undefined ? [] : [[id, bytes] as const];
    }),
  );
}

/** How large a file of a record may be; null for one that is none of it. */
function mostOf(name: string): number | null {
  if (name === 'record.json') return UNPACKED_LIMITS.record;
  if (PHOTO_NAME.test(name)) return UNPACKED_LIMITS.photo;
  return PAPER_NAME.test(name) ? UNPACKED_LIMITS.paper : null;
}

function readFile(bytes: Uint8Array, photos: Named, papers: Named): Unpacked {
  let raw: unknown;
  try {
    raw = JSON.parse(strFromU8(bytes).replace(/^\uFEFF/, ''));
  } catch {
    return refused('This is not a whole record: it is neither a zip nor JSON.');
  }
  const read = RecordFile.safeParse(raw);
  if (!read.success)
    return refused(
      ...read.error.issues
        .slice(0, MOST_TOLD)
        .map(({ path, message }) => `${path.map(String).join(' › ') || 'the file'}: ${message}`),
    );
  const faults = faultsOf(read.data);
  return faults.length > 0
    ? refused(...faults.slice(0, MOST_TOLD))
    : { ok: true, file: read.data, photos, papers };
}

/** What only the whole file shows: that everything in it is one patient's. */
export function faultsOf({ tables }: RecordFile): string[] {
  const [patient] = tables.patient;
  if (!patient) return ['There is no patient in this file.'];
  const programmes = new Set(tables.programme.map(({ id }) => id));
  const faults: string[] = [];
  for (const [table, rows] of Object.entries(tables)) {
    if (table === 'patient') continue;
    const foreign = rows.filter((row) =>
      table === 'programmeLine' ? !programmes.has(row.programmeId) : row.patientId !== patient.id,
    );
    if (foreign.length > 0)
      faults.push(`${table}: ${foreign.length} rows are not of this patient.`);
  }
  return faults;
}
