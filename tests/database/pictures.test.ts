import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { PHOTO_LIMIT } from '@/core/records';
import { saveEntry } from '@/server/visit/entries';
import { storedPicture } from '@/server/visit/picture';
import { takeOwnPhoto } from '@/server/visit/photos';
import { device, makePatient, today } from '../support/clinic';
import { databaseStage } from '../support/stage';

const stage = databaseStage('pictures');

describe('a picture', () => {
  it('is taken up to the very limit, and not a byte beyond', async () => {
    const small = await sharp({
      create: { width: 40, height: 30, channels: 3, background: '#777' },
    })
      .jpeg()
      .toBuffer();
    const padded = (length: number) => Buffer.concat([small, Buffer.alloc(length - small.length)]);
    expect(await storedPicture(padded(PHOTO_LIMIT))).toMatchObject({ width: 40, height: 30 });
    await expect(storedPicture(padded(PHOTO_LIMIT + 1))).rejects.toMatchObject({ status: 413 });
  });

  it('is made smaller until it fits, as good as it can be', async () => {
    // As large as a stored picture may be in `npm run long`.
    const height = process.env.EVERY_CASE ? 1600 : 900;
    const noise = Buffer.from(
      Array.from(
        { length: 1600 * height * 3 },
        (_, i) => (Math.imul(i + 1, 2654435761) >>> 13) & 255,
      ),
    );
    const raw = { width: 1600, height, channels: 3 as const };
    const busy = await sharp(noise, { raw }).jpeg({ quality: 90 }).toBuffer();
    const quiet = await sharp({ create: { ...raw, background: '#888' } })
      .jpeg()
      .toBuffer();
    const [most, least] = [await storedPicture(busy), await storedPicture(quiet)];
    // It fits in the end; a coarser one would be less than half of what may be kept.
    expect(most.bytes.length).toBeLessThanOrEqual(500 * 1024);
    expect(most.bytes.length).toBeGreaterThan(250 * 1024);
    const atBest = await sharp(quiet).jpeg({ quality: 82, mozjpeg: true }).toBuffer();
    expect(least.bytes.length).toBe(atBest.length);
  }, 60_000);

  it('is decoded up to fifty megapixels, and told why not beyond', async () => {
    const flat = (height: number) =>
      sharp({ create: { width: 8000, height, channels: 3, background: '#777' } })
        .jpeg()
        .toBuffer();
    expect(await storedPicture(await flat(6250))).toMatchObject({ width: 1600, height: 1250 });
    await expect(storedPicture(await flat(6251))).rejects.toMatchObject({
      status: 413,
      say: expect.stringContaining('more than 50 megapixels') as string,
    });
  });

  it('of the patient’s own is taken only with consent, however it was asked for', async () => {
    const id = await makePatient(stage.practitioner);
    await saveEntry(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      kind: 'photo-request',
      supersedes: null,
      on: today(),
      body: { note: '' },
    });
    const here = await device(stage.practitioner, id);
    const picture = await sharp({
      create: { width: 400, height: 300, channels: 3, background: '#777' },
    })
      .jpeg()
      .toBuffer();
    await expect(takeOwnPhoto(here, randomUUID(), picture)).rejects.toMatchObject({ status: 409 });
  });
});
