import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import sharp from 'sharp';
import { sideFigure } from '../../scripts/demo/side-figure';
import type { PatientId } from '@/core/units';
import { photosOf } from '@/db';
import { fileOf } from '@/server/visit/entries';
import { findingList } from '@/server/visit/findings';
import { clickAt, press, says, typeInto } from '../support/browser';
import { browserStage } from '../support/browser-stage';
import { makePatient } from '../support/clinic';
import { patientOf, photographable } from '../support/stage';

/** What was sent and arrived, but whose answer never came: pressed again, it stands there once. */
const stage = browserStage();

/** The first answer of what is sent to a path is lost on its way back. */
async function loseFirstAnswer(page: Page, path: string): Promise<void> {
  await page.evaluate((lostAt) => {
    const ask = window.fetch;
    let isLost = false;
    window.fetch = async (address, request) => {
      const answer = await ask(address, request);
      const path = typeof address === 'string' ? address : '';
      if (isLost || !path.startsWith(lostAt)) return answer;
      isLost = true;
      throw new TypeError('the answer was lost');
    };
  }, path);
}

it('keeps a side photo once (long)', async () => {
  const id = await photographable(stage);
  const files = join(stage.server.data, 'files');
  mkdirSync(files, { recursive: true });
  const file = join(files, 'lost.png');
  const figure = sideFigure({ craniovertebralAngle: 44, headTilt: 13, facing: 'right', roll: 2 });
  await sharp(Buffer.from(figure.svg)).png().toFile(file);
  const page = await stage.open(`/patients/${id}/measure/photos`);
  const input = await page.waitForSelector('input[type=file]');
  await loseFirstAnswer(page, '/api/v1/photos?');
  await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(file);
  await press(page, 'Send and mark it');
  await says(page, 'cannot be reached');
  await press(page, 'Send and mark it');
  await page.waitForSelector('[data-testid=stage]');
  expect(await photosOf(stage.practitioner.clinicId, id as PatientId)).toHaveLength(1);
  await page.close();
});

it('keeps a goal once', async () => {
  const id = await makePatient(stage.practitioner);
  const page = await stage.open(`/patients/${id}/screen`);
  await loseFirstAnswer(page, '/api/v1/entries');
  const add = '::-p-xpath(//form[.//label[contains(., "Wants to do again")]]//button)';
  await typeInto(page, 'Wants to do again', 'Row to the lighthouse');
  await clickAt(page, add);
  await says(page, 'cannot be reached');
  await clickAt(page, add);
  await page.waitForSelector('::-p-xpath(//li[contains(., "Row to the lighthouse")])');
  expect((await fileOf(await patientOf(stage, id))).goals).toHaveLength(1);
  await page.close();
});

it('keeps a finding of the clinician’s own once (long)', async () => {
  const id = await makePatient(stage.practitioner);
  const page = await stage.open(`/patients/${id}/measure`);
  await loseFirstAnswer(page, '/api/v1/findings');
  await typeInto(page, 'Add one of your own', 'Stiff after rowing');
  await press(page, 'Add');
  await says(page, 'cannot be reached');
  await press(page, 'Add');
  await page.waitForSelector('::-p-xpath(//li[contains(., "Stiff after rowing")])');
  const { confirmed } = await findingList(await patientOf(stage, id));
  expect(confirmed.map(({ say }) => say)).toEqual(['Stiff after rowing']);
  await page.close();
});
