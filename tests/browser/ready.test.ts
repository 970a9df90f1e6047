import { eventually } from '../support/record';
import { browserStage } from '../support/browser-stage';
import { PHONE, chord, freshPage, goTo, press, says, textOf } from '../support/browser';
import { device, screenedPatient } from '../support/clinic';
import { screening } from '../support/stage';
import { saveScreening } from '@/server/visit/screening';
import type { Page } from 'puppeteer-core';
import { versionsOf } from '@/db';

/** Ready programmes and the exercises page, as a clinician meets them. */
const stage = browserStage();

const lines = (page: Page) =>
  page.$$eval('input[aria-label^="Dose of "]', (all) =>
    all.map((input) => [input.getAttribute('aria-label')?.slice('Dose of '.length), input.value]),
  );

it('puts all lines of a programme down with one Enter, and takes them back with one undo', async () => {
  const patientId = await screenedPatient(stage.practitioner);
  const page = await stage.open(`/patients/${patientId}/plan`);
  await chord(page, 'Control', 'k');
  await page.keyboard.type('ten by');
  await says(page, 'ready programme');
  await page.keyboard.press('Enter');
  await says(page, 'is put down');
  expect(await lines(page)).toEqual([
    ['Belly breathing, 4-4-4', 'x10 breath 4-4-4 daily'],
    ['Tuck lying down', '10x10s gap 5s daily'],
    ['Overhead shrug with tuck', '10x10s gap 5s daily'],
  ]);
  await says(page, 'No line is closed by what is known of this patient.');
  await press(page, 'Read');
  await chord(page, 'Control', 'z');
  await eventually(async () => expect(await lines(page)).toEqual([]));
  expect(page.problems).toEqual([]);
});

it('marks what this patient closes, takes the substitutes by one key, and sends', async () => {
  const patientId = await screenedPatient(stage.practitioner);
  await saveScreening(stage.practitioner, screening(patientId, ['jaw', 'latex']));
  const page = await stage.open(`/patients/${patientId}/plan`);
  await press(page, 'Templates');
  await page.click('::-p-xpath(//summary[contains(., "Ready to hand")])');
  await page.click('[aria-label="Apply Resisted tucks"]');
  await says(page, 'Resisted tucks is put down. 1 line is closed to this patient:');
  await says(page, 'Under-jaw-resisted tuck: flagged: resistance under the jaw.');
  await chord(page, 'Alt', 'u');
  await eventually(async () => expect(await textOf(page)).not.toContain('is put down'));
  const now = (await lines(page)).map(([name]) => name);
  expect(now).toHaveLength(4);
  expect(now).not.toContain('Under-jaw-resisted tuck');
  await press(page, 'Save as version 1');
  await says(page, 'Version 1 saved');
  const sent = (await versionsOf(stage.practitioner.clinicId, [patientId])).get(patientId)?.at(-1);
  expect(sent?.lines).toHaveLength(4);
  expect(page.problems).toEqual([]);
});

it('finds, narrows and opens exercises, and says what closes them to a patient', async () => {
  const patientId = await screenedPatient(stage.practitioner, 'יעל בן-דוד');
  await saveScreening(stage.practitioner, screening(patientId, ['jaw']));
  const page = await stage.open('/exercises');
  await page.type('input[type=search]', 'clams');
  await says(page, '1 exercise');
  await page.click('a[href="/exercises/about/clamshell"]');
  await says(page, 'Who must not, without a reason');
  await says(page, 'Harder: Side leg lift, on the side');
  await goTo(page, `${stage.server.origin}/exercises?patient=${patientId}`);
  await page.select('::-p-xpath(//label[span[text()="Thing it needs"]]/select)', 'small firm ball');
  await says(page, '3 exercises');
  await says(page, 'Closed: flagged: the chin-held ball');
  await page.click('::-p-xpath(//label[contains(., "Only what is open")]/input)');
  await says(page, '2 exercises');
  await page.type('input[type=search]', 'zzzz');
  await says(page, 'No exercise is like that.');
  await goTo(page, `${stage.server.origin}/exercises/programmes`);
  await says(page, 'Ready programmes (24)');
  await page.select('select[name=one]', 'bench-edge');
  await page.select('select[name=other]', 'ten-by-ten');
  await press(page, 'Side by side');
  await says(page, 'Held a day');
  expect(new URL(page.url()).search).toBe('?one=bench-edge&other=ten-by-ten');
  expect(page.problems).toEqual([]);
});

it('hands on a page that says nothing of anybody', async () => {
  const patientId = await screenedPatient(stage.practitioner, 'Wren Aldercote');
  const { link } = await device(stage.practitioner, patientId);
  const phone = await freshPage(stage.browser, PHONE);
  await goTo(phone, `${stage.server.origin}/open#${link}`);
  await phone.waitForFunction(() => location.pathname === '/today');
  await goTo(phone, `${stage.server.origin}/today/settings`);
  await press(phone, 'Hand on the link');
  await says(phone, 'Send this address to whom you like:');
  const address = await phone.$eval('section[aria-labelledby=tell] a', (a) => a.href);
  // The same for everybody: no token, no name, no clinic.
  expect(address).toBe(`${stage.server.origin}/tell`);
  const other = await freshPage(stage.browser, PHONE);
  await goTo(other, address);
  await says(other, 'Never while they are driving.');
  expect(await textOf(other)).not.toMatch(/Wren|exercise|pain|clinic/i);
  expect([...phone.problems, ...other.problems]).toEqual([]);
});
