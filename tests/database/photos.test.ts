import { randomUUID } from 'node:crypto';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import sharp from 'sharp';
import { sideFigure } from '../../scripts/demo/side-figure';
import { PHOTO_LIMIT } from '@/core/records';
import { addDays } from '@/core/units';
import { markingsOf, photoById, photoBytesOf } from '@/db';
import { latestMeasures, sheetOf } from '@/server/visit/measuring';
import {
  deletePhotoForGood,
  ownDetectable,
  ownErrorOf,
  saveMarking,
  takeOwnPhoto,
  takePhoto,
} from '@/server/visit/photos';
import { saveEntry } from '@/server/visit/entries';
import { patientPack } from '@/server/patient-pack';
import { device, makePatient, today } from '../support/clinic';
import { databaseStage, patientOf, photographable } from '../support/stage';

const stage = databaseStage('photos');

describe('side photos', () => {
  const facts = (patientId: string) => ({ id: randomUUID(), patientId, takenOn: today() });
  const figure = sideFigure({ craniovertebralAngle: 44, headTilt: 12, facing: 'left', roll: 3 });
  const png = sharp(Buffer.from(figure.svg)).png().toBuffer();

  it('are taken with consent only', async () => {
    const id = await makePatient(stage.practitioner);
    await expect(takePhoto(stage.practitioner, facts(id), await png)).rejects.toMatchObject({
      say: expect.stringContaining('Consent for photos') as string,
    });
  });

  it('come from the patient’s own phone only while they are asked for, and reach Measure unmarked', async () => {
    const id = await photographable(stage);
    const here = await device(stage.practitioner, id);
    await expect(takeOwnPhoto(here, randomUUID(), await png)).rejects.toMatchObject({
      status: 409,
    });
    await saveEntry(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      kind: 'photo-request',
      supersedes: null,
      on: today(),
      body: { note: '' },
    });
    expect((await patientPack(here)).questions.photo).toBe(true);
    const photoId = randomUUID();
    await takeOwnPhoto(here, photoId, await png);
    await takeOwnPhoto(here, photoId, await png);
    expect(await photoById(stage.practitioner.clinicId, photoId)).toMatchObject({
      patientId: id,
      authorId: id,
    });
    expect(await markingsOf(stage.practitioner.clinicId, [photoId])).toEqual([]);
    expect((await patientPack(here)).questions.photo).toBe(false);
  });

  it('are not said to be kept where another picture, day or line is kept under the same id', async () => {
    const id = await photographable(stage);
    const about = facts(id);
    const other = await sharp(await png)
      .flop()
      .png()
      .toBuffer();
    await takePhoto(stage.practitioner, about, await png);
    const kept = await photoBytesOf(stage.practitioner.clinicId, about.id);
    await takePhoto(stage.practitioner, about, await png);
    const refused = [
      takePhoto(stage.practitioner, about, other),
      takePhoto(stage.practitioner, { ...about, takenOn: addDays(today(), -1) }, await png),
    ];
    for (const one of refused) await expect(one).rejects.toMatchObject({ name: 'AlreadyThere' });
    expect(await photoBytesOf(stage.practitioner.clinicId, about.id)).toEqual(kept);

    const here = await device(stage.practitioner, id);
    await saveEntry(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      kind: 'photo-request',
      supersedes: null,
      on: today(),
      body: { note: '' },
    });
    const own = randomUUID();
    await takeOwnPhoto(here, own, await png);
    await takeOwnPhoto(here, own, await png);
    await expect(takeOwnPhoto(here, own, other)).rejects.toMatchObject({ status: 409 });
  });

  it.each<[string, () => Buffer | Promise<Buffer>, number, RegExp]>([
    ['nothing', () => Buffer.alloc(0), 400, /is empty/],
    ['40 MB', () => Buffer.alloc(40 * 1024 * 1024), 413, /larger than 16 MB/],
    ['a text renamed', () => Buffer.from('this is no photo\n'.repeat(200)), 415, /not a photo/],
    ['a drawing that could load others', () => Buffer.from(figure.svg), 415, /not a photo/],
    ['half a picture', async () => (await png).subarray(0, 3000), 415, /not a photo/],
  ])('refuse %s with a sentence, and store nothing', async (_name, file, status, say) => {
    const id = await photographable(stage);
    const about = facts(id);
    await expect(takePhoto(stage.practitioner, about, await file())).rejects.toMatchObject({
      status,
      say: expect.stringMatching(say) as string,
    });
    expect(await photoById(stage.practitioner.clinicId, about.id)).toBeNull();
  });

  it('lose place, time and camera, are upright and small', async () => {
    const id = await photographable(stage);
    const about = facts(id);
    const told = await sharp(await png)
      .rotate(90)
      .withExif({
        IFD0: { Make: 'PLANTED-CAMERA' },
        IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '54/1 10/1 0/1' },
      })
      .withMetadata({ orientation: 8 })
      .jpeg({ quality: 95 })
      .toBuffer();
    expect(told.includes('PLANTED-CAMERA')).toBe(true);
    expect((await sharp(told).metadata()).exif).toBeDefined();
    await takePhoto(stage.practitioner, about, told);
    const stored = await photoBytesOf(stage.practitioner.clinicId, about.id);
    if (!stored) throw new Error('not stored');
    const meta = await sharp(stored).metadata();
    expect([meta.format, meta.exif, meta.xmp, meta.icc]).toEqual([
      'jpeg',
      undefined,
      undefined,
      undefined,
    ]);
    expect(stored.includes('PLANTED-CAMERA')).toBe(false);
    expect(stored.length).toBeLessThanOrEqual(500 * 1024);
    expect([meta.width, meta.height]).toEqual([900, 1200]);
    expect(PHOTO_LIMIT).toBeLessThan(40 * 1024 * 1024);
  });

  it('are measured by their marks; marked twice they tell the operator’s own error', async () => {
    const id = await photographable(stage);
    const about = facts(id);
    await takePhoto(stage.practitioner, about, await png);
    const marking = { patientId: id, photoId: about.id };
    await saveMarking(stage.practitioner, { ...marking, id: randomUUID(), marks: figure.marks });
    const patient = await patientOf(stage, id);
    const angle = async () =>
      (await latestMeasures(patient)).find((one) => one.kind === 'craniovertebral-angle');
    expect((await angle())?.value).toBeCloseTo(44, 6);
    // Marked once, a photo says nothing of whoever marked it.
    expect(await ownErrorOf(stage.practitioner)).toBeNull();
    expect(await ownDetectable(stage.practitioner)).toEqual({});
    const off = {
      ...figure.marks,
      tragus: { x: figure.marks.tragus.x, y: figure.marks.tragus.y + 20 },
    };
    await saveMarking(stage.practitioner, { ...marking, id: randomUUID(), marks: off });
    const both = await angle();
    expect(both?.trials).toHaveLength(2);
    expect((await sheetOf(patient)).series.find((s) => s.kind === 'head-tilt')?.count).toBe(1);
    const error = await ownErrorOf(stage.practitioner);
    const difference = (both?.trials[1] ?? 0) - (both?.trials[0] ?? 0);
    expect(error?.photos).toBe(1);
    expect(error?.sem).toBeCloseTo(Math.abs(difference) / Math.SQRT2, 6);
    const own = await ownDetectable(stage.practitioner);
    expect(own['craniovertebral-angle']?.margin).toEqual({ by: error?.needed });
    expect(await ownErrorOf(stage.assistant)).toBeNull();
    const same = { ...figure.marks, c7: figure.marks.tragus };
    await expect(
      saveMarking(stage.practitioner, { ...marking, id: randomUUID(), marks: same }),
    ).rejects.toMatchObject({ status: 400, at: ['marks'] });
  });

  it('are deleted for good: the bytes leave the files, the angles stay', async () => {
    const id = await photographable(stage);
    const about = facts(id);
    // Noise does not shrink, so that its bytes can be looked for in the files.
    const noise = await sharp({
      create: {
        width: 300,
        height: 300,
        channels: 3,
        background: '#777777',
        noise: { type: 'gaussian', mean: 128, sigma: 60 },
      },
    })
      .png()
      .toBuffer();
    await takePhoto(stage.practitioner, about, noise);
    const marks = { ...figure.marks, tragus: { x: 200, y: 100 }, c7: { x: 120, y: 180 } };
    await saveMarking(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      photoId: about.id,
      marks: { ...marks, shoulder: null, eye: null, reference: null, scale: null },
    });
    const bytes = await photoBytesOf(stage.practitioner.clinicId, about.id);
    const planted = bytes?.subarray(2000, 2064) ?? Buffer.alloc(0);
    const inFiles = () =>
      readdirSync(stage.folder).filter((name) =>
        readFileSync(join(stage.folder, name)).includes(planted),
      );
    expect(inFiles().length).toBeGreaterThan(0);
    await expect(deletePhotoForGood(stage.assistant, id, about.id)).rejects.toMatchObject({
      guard: 'access',
    });
    await deletePhotoForGood(stage.practitioner, id, about.id);
    expect(inFiles()).toEqual([]);
    expect(await photoBytesOf(stage.practitioner.clinicId, about.id)).toBeNull();
    expect((await photoById(stage.practitioner.clinicId, about.id))?.deletedBy).toBe(
      stage.practitioner.id,
    );
    expect(await markingsOf(stage.practitioner.clinicId, [about.id])).toHaveLength(1);
    const patient = await patientOf(stage, id);
    expect((await latestMeasures(patient)).map((one) => one.kind)).toContain(
      'craniovertebral-angle',
    );
    await expect(deletePhotoForGood(stage.practitioner, id, about.id)).rejects.toMatchObject({
      status: 404,
    });
  });
});
