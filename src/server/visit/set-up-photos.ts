import { MOST_SET_UP_PHOTOS, type SetUpPhotoFacts } from '@/core/records';
import type { PhotoId } from '@/core/units';
import {
  type Patient,
  guard,
  hasRoomForSetUp,
  insertPhoto,
  photoById,
  photoBytesOf,
  photosConsented,
  setUpPhotosOf,
} from '@/db';
import type { PatientHere, SignedIn } from '../access';
import { patientFor } from '../people';
import { Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { newestConsent } from './entries';
import { NO_CONSENT, isKeptPhoto } from './photos';
import { type PictureSize, storedPicture } from './picture';
import { newestVersion } from './newest-version';
import { writeAs } from './write-as';

/** A set-up is looked at on a phone or a sheet; nothing is measured on it. */
const SET_UP_SIZE: PictureSize = { longestEdge: 1000, storedBytes: 200 * 1024 };

/** A photo of a set-up as it is shown. */
export type SetUpPhoto = {
  readonly id: PhotoId;
  readonly width: number;
  readonly height: number;
};

/** Takes in a photo of this patient's set-up for one line, with the patient's consent only. */
export async function takeSetUpPhoto(
  member: SignedIn,
  { id, patientId, lineage }: SetUpPhotoFacts,
  upload: Buffer,
): Promise<SetUpPhoto> {
  const patient = await patientFor(member, patientId);
  const { clinicId } = member;
  const version = await newestVersion(patient);
  if (!version?.lines.some((line) => line.lineage === lineage))
    throw new Problem(409, 'The programme has no such line any more. Load the page again.', [
      'lineage',
    ]);
  if ((await newestConsent(patient))?.body.photos !== true) throw new Problem(409, NO_CONSENT);
  const { bytes, width, height } = await storedPicture(upload, SET_UP_SIZE);
  await writeAs(member, 'practitioner', {
    verb: 'took a set-up',
    subject: { kind: 'photo', id },
    statements: (at) => [
      guard('consent', photosConsented(clinicId, patient.id)),
      guard('room', hasRoomForSetUp(clinicId, patient.id, lineage, MOST_SET_UP_PHOTOS)),
      ...insertPhoto(
        {
          id,
          patientId: patient.id,
          takenOn: todayOf(patient),
          clinicId,
          authorId: member.id,
          createdAt: at,
          width,
          height,
          lineage,
          deletedBy: null,
          deletedAt: null,
        },
        bytes,
      ),
    ],
    isThere: () => isKeptPhoto(clinicId, { id, patientId: patient.id, lineage }, bytes),
  });
  return { id, width, height };
}

type OfLine = (lineage: string) => readonly SetUpPhoto[];

/** The photos of a patient's set-ups by line; none while photos are not consented to. */
export async function setUpPhotos(patient: Patient): Promise<OfLine> {
  const consent = await newestConsent(patient);
  if (consent?.body.photos !== true) return () => [];
  const rows = await setUpPhotosOf(patient.clinicId, patient.id);
  return (lineage) =>
    rows
      .filter((row) => row.lineage === lineage)
      .map(({ id, width, height }) => ({ id, width, height }));
}

/**
 * Those that nobody is shown: of lines that are no longer done, or all of them once consent was taken
 * back. They wait to be deleted.
 */
export async function unseenSetUpPhotos(
  patient: Patient,
  lineages: readonly string[],
): Promise<readonly SetUpPhoto[]> {
  const [shown, rows] = await Promise.all([
    setUpPhotos(patient),
    setUpPhotosOf(patient.clinicId, patient.id),
  ]);
  const seen = new Set(lineages.flatMap((lineage) => shown(lineage).map(({ id }) => id)));
  return rows
    .filter(({ id }) => !seen.has(id))
    .map(({ id, width, height }) => ({ id, width, height }));
}

/** The photos by line as pictures within a page or a file of its own. */
export async function setUpPictures(
  patient: Patient,
): Promise<(lineage: string) => Promise<readonly string[]>> {
  const photos = await setUpPhotos(patient);
  return async (lineage) => {
    const found: string[] = [];
    for (const { id } of photos(lineage)) {
      const bytes = await photoBytesOf(patient.clinicId, id);
      if (bytes) found.push(`data:image/jpeg;base64,${bytes.toString('base64')}`);
    }
    return found;
  };
}

/** A photo of the patient's own set-up, for their phone; null when it is not theirs or is gone. */
export async function ownSetUpPicture(here: PatientHere, id: PhotoId): Promise<Buffer | null> {
  const { clinicId, patient } = here;
  const photo = await photoById(clinicId, id);
  if (
    !photo ||
    photo.patientId !== patient.id ||
    photo.lineage === null ||
    photo.deletedAt !== null
  )
    return null;
  if ((await newestConsent(patient))?.body.photos !== true) return null;
  return photoBytesOf(clinicId, id);
}
