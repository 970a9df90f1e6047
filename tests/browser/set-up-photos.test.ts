import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import sharp from 'sharp';
import { setUpPhotos } from '@/server/visit/set-up-photos';
import { newestVersion } from '@/server/visit/newest-version';
import { violations } from '../support/axe';
import { DESK, beMember, freshPage, goTo, pictureShown, press, says } from '../support/browser';
import { phoneStage } from '../support/phone';
import { eventually } from '../support/record';
import { patientOf } from '../support/stage';
import { consent } from '../support/consent';

const { stage, phoneWith } = phoneStage({ own: true });

const PHOTO = 'img[src*="/set-up/picture"]';

it('are taken on the run sheet, seen on sheet and handout, kept on the phone, and deleted for good (long)', async () => {
  const { phone, patientId, origin } = await phoneWith();
  await consent(stage.practitioner, patientId, { photos: true, sharing: true });
  const folder = join(stage.server.data, 'files');
  mkdirSync(folder, { recursive: true });
  const file = join(folder, 'set-up.jpg');
  writeFileSync(
    file,
    await sharp({ create: { width: 1200, height: 900, channels: 3, background: '#557766' } })
      .jpeg()
      .toBuffer(),
  );
  const desk = await freshPage(stage.browser, DESK);
  await beMember(desk, origin, stage.practitioner.token);
  await goTo(desk, `${origin}/patients/${patientId}/teach`);
  await says(desk, '(0 of 3 photos)');
  const input = (await desk.waitForSelector('input[type=file]')) as ElementHandle<HTMLInputElement>;
  await input.uploadFile(file);
  await says(desk, '(1 of 3 photos)');
  await pictureShown(desk, 'img[alt^="Set-up for Neck warm-up"]');
  expect(await violations(desk, 'the run sheet with a photo')).toEqual([]);
  await goTo(desk, `${origin}/patients/${patientId}/handout`);
  await pictureShown(desk, 'img[alt^="Your own set-up, photo"][alt$="Neck warm-up"]');

  // The phone has it before the player opens, and without a server too.
  await goTo(phone, `${origin}/today`);
  await phone.waitForFunction(
    async () => {
      const cache = await caches.open('dry-lantern-1');
      return (await cache.keys()).some(({ url }) => url.includes('/set-up/picture'));
    },
    { polling: 200 },
  );
  await stage.server.stop('SIGKILL');
  await phone.reload();
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await pictureShown(phone, PHOTO);
  await stage.server.start();

  await goTo(desk, `${origin}/patients/${patientId}/teach`);
  await press(desk, 'Delete');
  await says(desk, 'Nobody can bring it back.');
  await press(desk, 'Delete for good');
  await says(desk, '(0 of 3 photos)');
  const patient = await patientOf(stage, patientId);
  const lineage = (await newestVersion(patient))?.lines[0]?.lineage ?? '';
  await eventually(async () => expect((await setUpPhotos(patient))(lineage)).toEqual([]));
  // The next look of the phone drops its copy.
  await goTo(phone, `${origin}/today`);
  await phone.waitForFunction(
    async () => {
      const cache = await caches.open('dry-lantern-1');
      return !(await cache.keys()).some(({ url }) => url.includes('/set-up/picture'));
    },
    { polling: 200 },
  );
}, 600_000);
