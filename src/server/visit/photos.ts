import { sayToPatient } from '@/catalogue';
import {
  type DetectableChanges,
  type MeasureKindId,
  type PhotoMarks,
  detectableOf,
  marksProblem,
  measurePhoto,
  minimalDetectableChange,
  operatorError,
} from '@/core/measures';
import type { MarkingDraft, PhotoFacts } from '@/core/records';
import type { LocalDate, AuthorId, ClinicId, PatientId, PhotoId } from '@/core/units';
import {
  type Patient,
  type PhotoRow,
  deletePhoto,
  forgetDeleted,
  guard,
  insertEntry,
  insertMarking,
  insertMeasurement,
  insertPhoto,
  markingsBy,
  markingsOf,
  photoById,
  photoBytesOf,
  photosConsented,
  photosOf,
} from '@/db';
import type { PatientHere, SignedIn } from '../access';
import { patientFor } from '../people';
import { NOT_FOUND, Problem, ToldProblem } from '../problem';
import { languageFor } from '../languages';
import { todayOf } from '../programme-facts';
import { newestConsent, newestEntry } from './entries';
import { detectableChangesOf, measurementRow, measuresOf } from './measuring';
import { storedPicture } from './picture';
import { isSameRecord, writeAs, writeAsPatient } from './write-as';

export const NO_CONSENT =
  'Consent for photos is not recorded. Ask for it under Screen, then take the photo.';

/**
 * Whether this very photo is kept under its id, so that sending it twice changes nothing. Another picture
 * under the same id is refused instead of passing for kept; one that was deleted since had been kept.
 */
export async function isKeptPhoto(
  clinicId: ClinicId,
  facts: Partial<PhotoRow> & { readonly id: PhotoId },
  bytes: Buffer,
): Promise<boolean> {
  const row = await photoById(clinicId, facts.id);
  if (!row || !isSameRecord(row, facts)) return false;
  return (
    row.deletedAt !== null || ((await photoBytesOf(clinicId, facts.id))?.equals(bytes) ?? false)
  );
}

/** Takes in a side photo, with the patient's consent only. */
export async function takePhoto(member: SignedIn, facts: PhotoFacts, upload: Buffer) {
  const patient = await patientFor(member, facts.patientId);
  const { clinicId } = member;
  if (facts.takenOn > todayOf(patient))
    throw new Problem(400, 'A photo cannot be of a day to come.', ['takenOn']);
  if ((await newestConsent(patient))?.body.photos !== true) throw new Problem(409, NO_CONSENT);
  const { bytes, width, height } = await storedPicture(upload);
  await writeAs(member, 'assistant', {
    verb: 'took',
    subject: { kind: 'photo', id: facts.id },
    statements: (at) => [
      guard('consent', photosConsented(clinicId, patient.id)),
      ...insertPhoto(
        {
          ...facts,
          clinicId,
          authorId: member.id,
          createdAt: at,
          width,
          height,
          lineage: null,
          deletedBy: null,
          deletedAt: null,
        },
        bytes,
      ),
    ],
    isThere: () => isKeptPhoto(clinicId, facts, bytes),
  });
  return { width, height };
}

/** The clinic's open wish for a photo from home; null when there is none. */
export function photoRequest(patient: Patient) {
  return newestEntry(patient, 'photo-request');
}

/**
 * Takes in a side photo from the patient's own phone: only while the clinic asks for one and photos
 * are consented to. It reaches Measure unmarked, and the wish is taken out with it.
 */
export async function takeOwnPhoto(here: PatientHere, id: string, upload: Buffer): Promise<void> {
  const { patient, clinicId } = here;
  const asked = await photoRequest(patient);
  if (!asked) {
    const { bytes } = await storedPicture(upload);
    if (await isKeptPhoto(clinicId, { id, patientId: patient.id }, bytes)) return;
    throw new ToldProblem(409, sayToPatient(languageFor(patient), 'problem.noPhotoAsked'));
  }
  if ((await newestConsent(patient))?.body.photos !== true)
    throw new ToldProblem(409, sayToPatient(languageFor(patient), 'problem.noPhotoConsent'));
  const { bytes, width, height } = await storedPicture(upload);
  const takenOn = todayOf(patient);
  await writeAsPatient(here, {
    verb: 'took',
    subject: { kind: 'photo', id },
    statements: (at) => [
      guard('consent', photosConsented(clinicId, patient.id)),
      ...insertPhoto(
        {
          id,
          patientId: patient.id,
          takenOn,
          clinicId,
          authorId: patient.id,
          createdAt: at,
          width,
          height,
          lineage: null,
          deletedBy: null,
          deletedAt: null,
        },
        bytes,
      ),
      ...insertEntry({
        clinicId,
        id: crypto.randomUUID(),
        patientId: patient.id,
        createdAt: at,
        authorId: patient.id,
        kind: 'photo-request',
        localDate: takenOn,
        body: null,
        supersedes: asked.id,
      }),
    ],
    isThere: () => isKeptPhoto(clinicId, { id, patientId: patient.id }, bytes),
  });
}

/** A photo of the member's clinic and this patient that still has its picture, whatever it shows. */
async function photoFor(
  member: SignedIn,
  patientId: PatientId,
  photoId: PhotoId,
): Promise<PhotoRow> {
  const photo = await photoById(member.clinicId, photoId);
  if (!photo || photo.patientId !== patientId || photo.deletedAt !== null)
    throw new Problem(404, NOT_FOUND);
  return photo;
}

/** A photo's picture; null when the clinic has none, or it was deleted. */
export async function pictureFor(member: SignedIn, photoId: PhotoId): Promise<Buffer | null> {
  const photo = await photoById(member.clinicId, photoId);
  if (!photo || photo.deletedAt !== null) return null;
  // A file that is closed to them shows no picture either.
  await patientFor(member, photo.patientId);
  return photoBytesOf(member.clinicId, photoId);
}

/** Deletes a picture for good; its measured angles and a tombstone stay. */
export async function deletePhotoForGood(
  member: SignedIn,
  patientId: PatientId,
  photoId: PhotoId,
): Promise<void> {
  const patient = await patientFor(member, patientId);
  await photoFor(member, patient.id, photoId);
  await writeAs(member, 'practitioner', {
    verb: 'deleted',
    subject: { kind: 'photo', id: photoId },
    statements: (at) => deletePhoto(member.clinicId, photoId, member.id, at),
  });
  await forgetDeleted();
}

const MEASURED = [
  'craniovertebral-angle',
  'head-tilt',
  'shoulder-angle',
  'forward-offset',
] as const satisfies readonly MeasureKindId[];

function valuesOf(marks: PhotoMarks): Readonly<Record<(typeof MEASURED)[number], number | null>> {
  const measured = measurePhoto(marks);
  return {
    'craniovertebral-angle': measured.craniovertebralAngle,
    'head-tilt': measured.headTilt,
    'shoulder-angle': measured.shoulderAngle,
    'forward-offset': measured.earToC7,
  };
}

/**
 * Keeps a marking and the mean of all markings of the photo as its measurements; each new marking
 * supersedes the photo's earlier measurements.
 */
export async function saveMarking(member: SignedIn, draft: MarkingDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const photo = await photoFor(member, patient.id, draft.photoId);
  // A set-up is looked at, not measured.
  if (photo.lineage !== null) throw new Problem(404, NOT_FOUND);
  const wrong = marksProblem(draft.marks);
  if (wrong) throw new Problem(400, wrong, ['marks']);
  const [markings, measures] = await Promise.all([
    markingsOf(clinicId, [photo.id]),
    measuresOf(patient),
  ]);
  const earlier = markings.filter((row) => row.id !== draft.id).map(({ marks }) => marks);
  const all = [...earlier, draft.marks].map(valuesOf);
  await writeAs(member, 'assistant', {
    verb: 'marked',
    subject: { kind: 'photo', id: photo.id },
    statements: (at) => [
      ...insertMarking(
        {
          clinicId,
          id: draft.id,
          patientId: patient.id,
          createdAt: at,
          authorId: member.id,
          photoId: photo.id,
          marks: draft.marks,
          craniovertebralAngle: measurePhoto(draft.marks).craniovertebralAngle,
        },
        todayOf(patient),
      ),
      ...MEASURED.flatMap((kind) => {
        const given = all.map((one) => one[kind]).filter((one): one is number => one !== null);
        if (given.length === 0) return [];
        const value = given.reduce((sum, one) => sum + one, 0) / given.length;
        const old = measures.find(
          (one) => one.kind === kind && one.body?.form === 'photo' && one.body.photoId === photo.id,
        );
        const row = measurementRow(
          patient,
          member,
          {
            id: crypto.randomUUID(),
            kind,
            side: null,
            position: 'standing',
            instrument: 'photo',
            trials: given,
            body: { form: 'photo', photoId: photo.id, markingId: draft.id, value },
            note: '',
            painAtEnd: null,
            chinJut: false,
            retest: null,
            supersedes: old?.id ?? null,
          },
          at,
        );
        return insertMeasurement({ ...row, localDate: photo.takenOn });
      }),
    ],
    isThere: () => Promise.resolve(markings.some((row) => isSameRecord(row, draft))),
  });
}

/** A photo with its markings, for the page that marks it. */
export type MarkedPhoto = {
  readonly id: string;
  readonly takenOn: LocalDate;
  readonly width: number;
  readonly height: number;
  readonly markings: readonly {
    readonly id: string;
    readonly authorId: AuthorId;
    readonly marks: PhotoMarks;
  }[];
};

/** A patient's photos that still have their picture, newest first. */
export async function markedPhotos(patient: Patient): Promise<MarkedPhoto[]> {
  const photos = await photosOf(patient.clinicId, patient.id);
  const markings = await markingsOf(
    patient.clinicId,
    photos.map((photo) => photo.id),
  );
  return photos.map(({ id, takenOn, width, height }) => ({
    id,
    takenOn,
    width,
    height,
    markings: markings
      .filter((row) => row.photoId === id)
      .map((row) => ({ id: row.id, authorId: row.authorId, marks: row.marks })),
  }));
}

export type OwnError = {
  /** How many photos this member has marked twice. */
  readonly photos: number;
  /** Their own error, degrees. */
  readonly sem: number;
  /** What their marking alone needs to call a change real, degrees. */
  readonly needed: number;
};

/** A member's own error of the craniovertebral angle, from photos they marked twice; null before. */
export async function ownErrorOf(member: SignedIn): Promise<OwnError | null> {
  const rows = await markingsBy(member.clinicId, member.id);
  const byPhoto = new Map<string, number[]>();
  for (const row of [...rows].reverse())
    byPhoto.set(row.photoId, [...(byPhoto.get(row.photoId) ?? []), row.craniovertebralAngle]);
  const differences = [...byPhoto.values()].flatMap(([first, second]) =>
    first === undefined || second === undefined ? [] : [second - first],
  );
  const sem = operatorError(differences);
  return sem === null
    ? null
    : { photos: differences.length, sem, needed: minimalDetectableChange(sem) };
}

/**
 * The detectable change of the craniovertebral angle for this member: the larger of what their own
 * marking needs and what posture itself needs from day to day. Empty before anything was marked twice.
 */
export async function ownDetectable(member: SignedIn): Promise<DetectableChanges> {
  const [own, clinic] = await Promise.all([
    ownErrorOf(member),
    detectableChangesOf(member.clinicId),
  ]);
  const { margin } = detectableOf('craniovertebral-angle', clinic);
  if (!own || !margin || !('by' in margin) || own.needed <= margin.by) return {};
  return {
    'craniovertebral-angle': {
      margin: { by: own.needed },
      source: `Own marking error ${own.sem.toFixed(1)}° from ${own.photos} photos marked twice, times 1.96 · √2 (Weir 2005).`,
    },
  };
}
