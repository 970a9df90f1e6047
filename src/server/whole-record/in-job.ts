import sharp from 'sharp';
import { searchTextOf } from '@/core/identity';
import { NO_DETAILS, PatientDetails } from '@/core/records';
import type { Instant } from '@/core/schedule';
import type { ClinicId, MemberId, PatientId, PhotoId } from '@/core/units';
import {
  type Actor,
  AlreadyThere,
  DatabaseFailure,
  GuardRefused,
  type GuardName,
  type RecordFile,
  type RecordTable,
  type Statement,
  audit,
  erasureOf,
  guard,
  insertElsewhere,
  insertRecordExercises,
  insertRecordPaper,
  insertRecordPhoto,
  insertRecordRows,
  memberMay,
  membersKnown,
  patientById,
  recordRows,
  write,
} from '@/db';
import { type Compared, compareRecord } from './compare';
import { type Unpacked, unpack } from './unpack';

/** What is to be taken in, as it crosses over to the thread. */
export type InOrder = {
  readonly clinicId: ClinicId;
  readonly memberId: MemberId;
  readonly bytes: Uint8Array;
  readonly at: Instant;
  /** Null for a look that writes nothing. */
  readonly write: { readonly tokenHash: string; readonly actor: Actor } | null;
};

/** How a record stands to what is here. */
export type RecordPreview = {
  readonly patientId: PatientId;
  readonly name: string;
  readonly birthDate: string | null;
  readonly madeAt: string;
  readonly made: string;
  /** False where the clinic has this patient already. */
  readonly isNew: boolean;
  readonly photos: number;
  /** Rows by table, where there are any. */
  readonly tables: readonly {
    readonly table: RecordTable;
    readonly fresh: number;
    readonly same: number;
    readonly differ: number;
  }[];
};

export type InReport =
  | { readonly kind: 'unreadable'; readonly problems: readonly string[] }
  | { readonly kind: 'looked'; readonly preview: RecordPreview }
  | { readonly kind: 'written'; readonly preview: RecordPreview }
  | { readonly kind: 'refused'; readonly guard: GuardName | 'other' }
  | { readonly kind: 'failed'; readonly busy: boolean };

const unreadable = (...problems: readonly string[]): InReport => ({
  kind: 'unreadable',
  problems,
});

/**
 * Looks at a record's file, and writes it where that is ordered: everything that is new of it in one
 * batch, or nothing. A file of which anything differs from what is here is not written. It takes seconds,
 * so a server has a thread do it.
 */
export async function inJob(order: InOrder): Promise<InReport> {
  const unpacked = unpack(order.bytes);
  if (!unpacked.ok) return unreadable(...unpacked.problems);
  const { file, photos, papers } = unpacked;
  const { clinicId } = order;
  const patientId = file.tables.patient[0]?.id as PatientId;
  if (await erasureOf(clinicId, patientId))
    return unreadable('This record was erased here. What was erased is not taken in again.');
  const faults = [...(await photoFaults(unpacked)), ...(await paperFaults(unpacked))];
  if (faults.length > 0) return unreadable(...faults);
  const compared = compareRecord(file, await recordRows(clinicId, patientId));
  const preview: RecordPreview = {
    patientId,
    name: file.tables.patient[0]?.name as string,
    birthDate: file.tables.patient[0]?.birthDate as string | null,
    madeAt: file.clinic.name,
    made: file.made,
    isNew: (await patientById(clinicId, patientId)) === null,
    photos: freshFiles(compared, 'photo', photos).length,
    tables: compared
      .map(({ table, fresh, same, differ }) => ({ table, fresh: fresh.length, same, differ }))
      .filter(({ fresh, same, differ }) => fresh + same + differ > 0),
  };
  if (!order.write || compared.some(({ differ }) => differ > 0)) return { kind: 'looked', preview };
  return writeRecord(order, order.write, { file, photos, papers, compared, preview });
}

type Photos = ReadonlyMap<string, Uint8Array>;

/** Photos or papers that come with new rows. */
function freshFiles(
  compared: readonly Compared[],
  of: 'photo' | 'paper',
  files: Photos,
): [string, Uint8Array][] {
  const rows = compared.find(({ table }) => table === of)?.fresh ?? [];
  const fresh = new Set(rows.map(({ id }) => id));
  return [...files].filter(([id]) => fresh.has(id));
}

const PDF = '%PDF-';

/** Whether every paper is what the record says: there, of that size and kind. */
async function paperFaults({ file, papers }: Extract<Unpacked, { ok: true }>): Promise<string[]> {
  const faults: string[] = [];
  for (const { id, receivedOn, mediaType, size, deletedAt } of file.tables.paper) {
    const bytes = papers.get(id as string);
    if (!bytes) {
      if (deletedAt === null)
        faults.push(`The paper of ${receivedOn as string} is not in the file.`);
      continue;
    }
    const isPdf = Buffer.from(bytes.subarray(0, PDF.length)).toString('latin1') === PDF;
    const found =
      mediaType === 'image/jpeg'
        ? await sharp(bytes)
            .metadata()
            .catch(() => null)
        : null;
    const fits = mediaType === 'application/pdf' ? isPdf : found?.format === 'jpeg';
    if (!fits || bytes.length !== size)
      faults.push(`The paper of ${receivedOn as string} is not the one that the record describes.`);
  }
  return faults;
}

/** Whether every photo is a picture of the size that the record says. */
async function photoFaults({ file, photos }: Extract<Unpacked, { ok: true }>): Promise<string[]> {
  const faults: string[] = [];
  for (const { id, takenOn, width, height, deletedAt } of file.tables.photo) {
    const bytes = photos.get(id as string);
    if (!bytes) {
      if (deletedAt === null) faults.push(`The photo of ${takenOn as string} is not in the file.`);
      continue;
    }
    const found = await sharp(bytes)
      .metadata()
      .catch(() => null);
    if (found?.format !== 'jpeg' || found.width !== width || found.height !== height)
      faults.push(`The photo of ${takenOn as string} is not the one that the record describes.`);
  }
  return faults;
}

async function writeRecord(
  { clinicId, memberId, at }: InOrder,
  { tokenHash, actor }: NonNullable<InOrder['write']>,
  {
    file,
    photos,
    papers,
    compared,
    preview,
  }: {
    readonly file: RecordFile;
    readonly photos: Photos;
    readonly papers: Photos;
    readonly compared: readonly Compared[];
    readonly preview: RecordPreview;
  },
): Promise<InReport> {
  const known = await membersKnown(
    clinicId,
    file.members.map(({ id }) => id),
  );
  const anything = compared.some(({ fresh }) => fresh.length > 0);
  const statements = (): Statement[] => [
    guard('access', memberMay(tokenHash, clinicId, ['practitioner', 'lead'])),
    ...file.members
      .filter(({ id }) => !known.has(id))
      .map((member) => insertElsewhere(clinicId, member, file.clinic.name, at)),
    ...insertRecordExercises(clinicId, file, memberId, at),
    ...compared.flatMap(({ table, fresh }) =>
      insertRecordRows(
        clinicId,
        table,
        table === 'patient' ? fresh.map((row) => ownPatient(row, file, memberId)) : fresh,
      ),
    ),
    ...freshFiles(compared, 'photo', photos).map(([id, bytes]) =>
      insertRecordPhoto(clinicId, id as PhotoId, Buffer.from(bytes)),
    ),
    ...freshFiles(compared, 'paper', papers).map(([id, bytes]) =>
      insertRecordPaper(clinicId, id, Buffer.from(bytes)),
    ),
    audit({
      clinicId,
      at,
      actor,
      verb: 'took in the whole record of',
      subject: { kind: 'patient', id: preview.patientId },
    }),
  ];
  try {
    // A file that brings nothing new changes nothing.
    if (anything) await write(statements);
  } catch (error) {
    if (error instanceof GuardRefused) return { kind: 'refused', guard: error.guard };
    if (error instanceof AlreadyThere)
      return unreadable(
        'Something in this file stands here in another patient’s record. Nothing was taken in.',
      );
    return { kind: 'failed', busy: error instanceof DatabaseFailure && error.kind === 'busy' };
  }
  return { kind: 'written', preview };
}

/** The patient as they are here: found by what is known of them, looked after by whoever takes them in. */
function ownPatient(
  row: Readonly<Record<string, unknown>>,
  file: RecordFile,
  memberId: MemberId,
): Readonly<Record<string, unknown>> {
  const read = PatientDetails.safeParse(file.tables.patientDetails[0]?.body);
  return {
    ...row,
    practitionerId: memberId,
    search: searchTextOf(
      { name: row.name as string, contact: row.contact as string },
      read.success ? read.data : NO_DETAILS,
      file.tables.episode.map(({ complaint }) => complaint as string),
    ),
  };
}
