import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { MOST_SET_UP_PHOTOS } from '@/core/records';
import { auditOf, photoById, photoBytesOf, photosOf } from '@/db';
import { checkRecord } from '@/server/check/record-check';
import { patientPack } from '@/server/patient-pack';
import { handoutOf } from '@/server/visit/handout';
import { deletePhotoForGood, saveMarking } from '@/server/visit/photos';
import {
  ownSetUpPicture,
  setUpPhotos,
  takeSetUpPhoto,
  unseenSetUpPhotos,
} from '@/server/visit/set-up-photos';
import { newestVersion } from '@/server/visit/newest-version';
import { teachStep } from '@/server/visit/teaching';
import { device, makeClinic, makePatient, member, prescribe } from '../support/clinic';
import { databaseStage, patientOf, photographable } from '../support/stage';
import { consent } from '../support/consent';

const stage = databaseStage('set-up photos');

const picture = (width = 1600, height = 1200) =>
  sharp({ create: { width, height, channels: 3, background: '#7a8b7c' } })
    .withExif({ IFD0: { Make: 'PLANTED-CAMERA' } })
    .jpeg()
    .toBuffer();

/** A patient with one line who consents to photos. */
async function seated() {
  const patientId = await photographable(stage);
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'wall-press', dose: '3x30s rpe 4' },
    { exerciseId: 'tuck-lying', dose: '10x10s' },
  ]);
  const patient = await patientOf(stage, patientId);
  const version = await newestVersion(patient);
  const [first, second] = version?.lines ?? [];
  if (!first || !second) throw new Error('no lines');
  return { patientId, patient, lineage: first.lineage, other: second.lineage };
}

async function taken(patientId: string, lineage: string): Promise<string> {
  const id = randomUUID();
  await takeSetUpPhoto(stage.practitioner, { id, patientId, lineage }, await picture());
  return id;
}

const photosAgreed = (patientId: string, photos: boolean) =>
  consent(stage.practitioner, patientId, { photos, sharing: true });

it('are taken with consent only, for a line that is there, small and without place or camera', async () => {
  const { practitioner } = stage;
  const unasked = await makePatient(practitioner);
  await prescribe(practitioner, unasked, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const line = (await newestVersion(await patientOf(stage, unasked)))?.lines[0]?.lineage ?? '';
  await expect(taken(unasked, line)).rejects.toMatchObject({
    status: 409,
    say: expect.stringContaining('Consent for photos') as string,
  });
  const { patientId, patient, lineage } = await seated();
  await expect(taken(patientId, randomUUID())).rejects.toMatchObject({
    say: expect.stringContaining('no such line') as string,
  });
  const id = await taken(patientId, lineage);
  const stored = await photoBytesOf(practitioner.clinicId, id);
  const { width, height, exif } = await sharp(stored ?? Buffer.alloc(0)).metadata();
  expect([width, height, exif]).toEqual([1000, 750, undefined]);
  expect((await setUpPhotos(patient))(lineage)).toEqual([{ id, width: 1000, height: 750 }]);
  expect((await auditOf(practitioner.clinicId, id)).map(({ verb }) => verb)).toContain(
    'took a set-up',
  );
  await expect(
    takeSetUpPhoto(
      practitioner,
      { id: randomUUID(), patientId, lineage },
      Buffer.from('no picture'),
    ),
  ).rejects.toMatchObject({ status: 415 });
});

it('are three a line at most, however they arrive', async () => {
  const { patientId, patient, lineage, other } = await seated();
  const all = await Promise.allSettled(
    Array.from({ length: MOST_SET_UP_PHOTOS + 2 }, () => taken(patientId, lineage)),
  );
  expect(all.filter(({ status }) => status === 'fulfilled')).toHaveLength(MOST_SET_UP_PHOTOS);
  expect(all.find(({ status }) => status === 'rejected')).toMatchObject({
    reason: { guard: 'room' },
  });
  await taken(patientId, other);
  const [first] = (await setUpPhotos(patient))(lineage);
  await deletePhotoForGood(stage.practitioner, patientId, first?.id ?? '');
  await taken(patientId, lineage);
  expect((await setUpPhotos(patient))(lineage)).toHaveLength(MOST_SET_UP_PHOTOS);
});

it('stand on the run sheet, the phone and the handout, and are nobody’s side photos', async () => {
  const { practitioner } = stage;
  const { patientId, patient, lineage } = await seated();
  const id = await taken(patientId, lineage);
  const sheet = await teachStep(practitioner, patient);
  expect(sheet.pages[0]?.photos.map((photo) => photo.id)).toEqual([id]);
  expect(sheet.pages[1]?.photos).toEqual([]);
  const here = await device(practitioner, patientId);
  expect((await patientPack(here)).lines[0]?.photos).toEqual([
    { address: `/api/v1/patient/set-up/picture?id=${id}`, width: 1000, height: 750 },
  ]);
  const page = await handoutOf(patient, 'https://clinic.example/today');
  expect(page?.exercises[0]?.photos).toEqual([
    { address: `/api/v1/photos/picture?id=${id}`, words: 'Your own set-up, photo 1 of 1' },
  ]);
  const file = await handoutOf(patient, 'https://clinic.example/today', 'pictures');
  expect(file?.exercises[0]?.photos[0]?.address).toMatch(/^data:image\/jpeg;base64,\/9j\//);
  expect(file?.exercises[1]?.photos).toEqual([]);
  expect(await photosOf(practitioner.clinicId, patientId)).toEqual([]);
  const marks = {
    facing: 'left',
    tragus: { x: 1, y: 1 },
    c7: { x: 9, y: 9 },
    shoulder: null,
    eye: null,
    reference: null,
    scale: null,
  } as const;
  await expect(
    saveMarking(practitioner, { id: randomUUID(), patientId, photoId: id, marks }),
  ).rejects.toMatchObject({ status: 404 });
});

it('are seen by their own patient alone, and by nobody once consent is taken back', async () => {
  const { patientId, patient, lineage } = await seated();
  const id = await taken(patientId, lineage);
  const here = await device(stage.practitioner, patientId);
  const stranger = await device(stage.practitioner, (await seated()).patientId);
  expect(await ownSetUpPicture(here, id)).not.toBeNull();
  expect(await ownSetUpPicture(stranger, id)).toBeNull();
  await photosAgreed(patientId, false);
  expect(await ownSetUpPicture(here, id)).toBeNull();
  expect((await setUpPhotos(patient))(lineage)).toEqual([]);
  expect((await patientPack(here)).lines[0]?.photos).toEqual([]);
  expect((await unseenSetUpPhotos(patient, [lineage])).map((photo) => photo.id)).toEqual([id]);
  await expect(taken(patientId, lineage)).rejects.toMatchObject({ status: 409 });
  await photosAgreed(patientId, true);
  expect((await setUpPhotos(patient))(lineage)).toHaveLength(1);
  expect(await unseenSetUpPhotos(patient, [lineage])).toEqual([]);
  // A line that is taken out leaves its photos to be deleted.
  expect((await unseenSetUpPhotos(patient, [])).map((photo) => photo.id)).toEqual([id]);
});

it('go for good, and never to another clinic', async () => {
  const { practitioner } = stage;
  const { patientId, patient, lineage } = await seated();
  const [one, two] = [await taken(patientId, lineage), await taken(patientId, lineage)];
  const elsewhere = await member((await makeClinic('over the water')).emails.lead);
  await expect(
    takeSetUpPhoto(elsewhere, { id: randomUUID(), patientId, lineage }, await picture()),
  ).rejects.toMatchObject({ status: 404 });
  const here = await device(practitioner, patientId);
  await deletePhotoForGood(practitioner, patientId, one);
  expect(await photoBytesOf(practitioner.clinicId, one)).toBeNull();
  expect(await ownSetUpPicture(here, one)).toBeNull();
  expect((await setUpPhotos(patient))(lineage).map(({ id }) => id)).toEqual([two]);
  expect((await checkRecord()).faults).toEqual([]);
  expect(await photoById(practitioner.clinicId, two)).not.toBeNull();
});
