import type { Page } from 'puppeteer-core';
import { chord, goTo, press, says, textOf } from '../support/browser';
import { makePatient, prescribe, screenedPatient } from '../support/clinic';
import { browserStage } from '../support/browser-stage';
import { versionsOf } from '@/db';

const stage = browserStage();
const LETTERS = [...'abcdefghijklmnopqrstuvwxyz/?.'] as const;

/** Every letter once, as a cat or a book would press them. */
async function everyLetter(page: Page): Promise<void> {
  await page.focus('body');
  for (const letter of LETTERS) await page.keyboard.type(letter);
}
const versions = async (patientId: string) =>
  (await versionsOf(stage.practitioner.clinicId, [patientId])).get(patientId)?.length ?? 0;
const unanswered = async (page: Page) => /(\d+) unanswered/.exec(await textOf(page))?.[1];

it('answers no red flag by a letter; the rest by one touch says how many, and is taken back', async () => {
  const page = await stage.open(`/patients/${await makePatient(stage.practitioner)}/screen`);
  await says(page, 'An unanswered question is not a no.');
  const all = await unanswered(page);
  expect(Number(all)).toBeGreaterThan(40);
  await everyLetter(page);
  expect(await unanswered(page)).toBe(all);

  await chord(page, 'Alt', 'n');
  await says(page, 'questions answered no, ');
  const left = Number((await unanswered(page)) ?? 0);
  expect(await textOf(page)).toContain(`signs not tested.`);
  const [, no, notTested] =
    /(\d+) questions answered no, (\d+) signs not tested\./.exec(await textOf(page)) ?? [];
  expect(Number(no) + Number(notTested)).toBe(Number(all) - left);
  await press(page, 'Undo');
  await says(page, `${all} unanswered`);

  // Switched off, no key does anything.
  await page.evaluate(() => localStorage.setItem('dry-lantern.keys', 'off'));
  await chord(page, 'Alt', 'n');
  await everyLetter(page);
  expect(await unanswered(page)).toBe(all);
  await page.evaluate(() => localStorage.clear());
  expect(page.problems).toEqual([]);
});

it('writes nothing on the desk or under Follow by a letter, nor by any key behind a dialog', async () => {
  const patientId = await screenedPatient(stage.practitioner);
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'tuck-lying', dose: '10x10s gap 5s daily until review' },
  ]);
  const page = await stage.open(`/patients/${patientId}/plan`);
  await says(page, 'Tuck lying down');
  await everyLetter(page);
  await chord(page, 'Alt', 'k');
  await says(page, 'Keys of the desk');
  await chord(page, 'Control', 'Enter');
  await chord(page, 'Alt', 'o');
  await page.keyboard.press('Escape');
  await page.waitForSelector('[role=dialog]', { hidden: true });
  await goTo(page, `${stage.server.origin}/patients/${patientId}/follow`);
  await says(page, 'Nothing to decide');
  await everyLetter(page);
  expect(await versions(patientId)).toBe(1);
  expect(page.problems).toEqual([]);
});
