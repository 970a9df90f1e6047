import { eventually } from '../support/record';
import { browserStage } from '../support/browser-stage';
import {
  PHONE,
  chord,
  clickAt,
  freshPage,
  goTo,
  press,
  reloaded,
  says,
  textOf,
  typeInto,
} from '../support/browser';
import { device, ownDraft, programmeText, screenedPatient } from '../support/clinic';
import { temporaryFolder } from '../support/server';
import { screening } from '../support/stage';
import { saveScreening } from '@/server/visit/screening';
import type { ElementHandle, Page } from 'puppeteer-core';
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { versionsOf } from '@/db';

/** Ready programmes and the exercises page, as a clinician meets them. */
const stage = browserStage();

const lines = (page: Page) =>
  page.$$eval('input[aria-label^="Dose of "]', (all) =>
    all.map((input) => [input.getAttribute('aria-label')?.slice('Dose of '.length), input.value]),
  );

it('puts all lines of a programme down with one Enter, and takes them back with one undo (long)', async () => {
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

it('marks what this patient closes, takes the substitutes by one key, and sends (long)', async () => {
  const patientId = await screenedPatient(stage.practitioner);
  await saveScreening(stage.practitioner, screening(patientId, ['jaw', 'latex']));
  const page = await stage.open(`/patients/${patientId}/plan`);
  await press(page, 'Templates');
  await clickAt(page, '::-p-xpath(//summary[contains(., "Ready to hand")])');
  await clickAt(page, '[aria-label="Apply Resisted tucks"]');
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

it('finds, narrows and opens exercises, and says what closes them to a patient (long)', async () => {
  const patientId = await screenedPatient(stage.practitioner, 'יעל בן-דוד');
  await saveScreening(stage.practitioner, screening(patientId, ['jaw']));
  const page = await stage.open('/exercises');
  await page.type('main input[type=search]', 'clams');
  await says(page, '1 exercise');
  await clickAt(page, 'a[href="/exercises/about/clamshell"]');
  await says(page, 'Who must not, without a reason');
  await says(page, 'Harder: Side leg lift, on the side');
  await goTo(page, `${stage.server.origin}/exercises?patient=${patientId}`);
  await page.select('::-p-xpath(//label[span[text()="Thing it needs"]]/select)', 'small firm ball');
  await says(page, '3 exercises');
  await says(page, 'Closed: flagged: the chin-held ball');
  await clickAt(page, '::-p-xpath(//label[contains(., "Only what is open")]/input)');
  await says(page, '2 exercises');
  await page.type('main input[type=search]', 'zzzz');
  await says(page, 'No exercise is like that.');
  await goTo(page, `${stage.server.origin}/exercises/programmes`);
  await says(page, 'Ready programmes (24)');
  await says(page, 'Your clinic’s own (0)');
  await page.select('select[name=one]', 'bench-edge');
  await page.select('select[name=other]', 'ten-by-ten');
  await press(page, 'Side by side');
  await says(page, 'Held a day');
  expect(new URL(page.url()).search).toBe('?one=bench-edge&other=ten-by-ten');
  expect(page.problems).toEqual([]);
});

it('prescribes to a patient who is found by name, once, whatever is reloaded (long)', async () => {
  const patientId = await screenedPatient(stage.practitioner, 'Corncrake Fell');
  await saveScreening(stage.practitioner, screening(patientId, ['jaw']));
  const page = await stage.open('/exercises/about/under-jaw-tuck');
  await says(page, 'Fewer than 5 of your clinic’s patients were given it');
  await press(page, 'Prescribe to');
  await says(page, 'Nothing is put down yet');
  await page.type('main input[type=search]', 'corncrake');
  await says(page, '1 patient');
  // What speaks against it stands beside the name, and no name stands in the address.
  await says(page, 'Closed: flagged: resistance under the jaw');
  expect(page.url()).not.toMatch(/corncrake/i);
  await press(page, 'Corncrake Fell');
  await says(page, 'is put down in its usual dose');
  const put = [['Under-jaw-resisted tuck', expect.any(String)]];
  expect(await lines(page)).toEqual(put);
  expect(new URL(page.url()).search).toBe('');
  await says(page, 'This desk is kept; it is not sent yet.');
  await reloaded(page);
  await says(page, 'Your unsaved desk is back');
  expect(await lines(page)).toEqual(put);
  // The same again stands there already.
  await goTo(page, `${stage.server.origin}/patients/${patientId}/plan?exercise=under-jaw-tuck`);
  await says(page, 'stands on this desk already');
  expect(await lines(page)).toEqual(put);
  await goTo(page, `${stage.server.origin}/exercises/prescribe?exercise=none`);
  await says(page, 'There is no such record in your clinic');
});

it('keeps, rehearses, shares and retires programmes of no patient (long)', async () => {
  const page = await stage.open('/exercises/programmes');
  await clickAt(page, '[aria-label="Rehearse: Ten by ten"]');
  await says(page, 'Minutes of the day, by week');
  await says(page, 'After twelve weeks');
  await press(page, 'Close');
  await clickAt(page, '[aria-label="Offer no more: Six ways"]');
  await says(page, 'Not offered in your clinic (1)');
  await says(page, 'Ready programmes (23)');
  await clickAt(page, '[aria-label="Copy to your own: Six ways"]');
  await says(page, 'Your clinic’s own (1)');
  const patientId = await screenedPatient(stage.practitioner);
  await goTo(page, `${stage.server.origin}/patients/${patientId}/plan`);
  await chord(page, 'Control', 'k');
  await page.keyboard.type('six ways');
  await says(page, 'Six-way hand-resisted hold');
  expect(await textOf(page)).not.toContain('ready programme');
  await goTo(page, `${stage.server.origin}/exercises/programmes`);
  await clickAt(page, '[aria-label="Offer again: Six ways"]');
  await says(page, 'Ready programmes (24)');
  // A file of another clinic is looked at before anything is written.
  const folder = temporaryFolder('files');
  const [right, wrong] = ['right.json', 'wrong.json'].map((name) => join(folder, name));
  writeFileSync(right ?? '', programmeText(ownDraft('Sail hauling'), 'Six ways'));
  writeFileSync(wrong ?? '', '{"format":"recipe"}');
  const choose = async (path: string) => {
    const input = await page.waitForSelector('input[type=file]');
    await (input as ElementHandle<HTMLInputElement>).uploadFile(path);
  };
  await choose(wrong ?? '');
  await says(page, 'Nothing was taken in. Wrong in this file:');
  await choose(right ?? '');
  await says(page, 'comes along with the file');
  await says(page, 'A template has this name already: choose another.');
  await says(page, 'Your clinic’s own (1)');
  await typeInto(page, 'Name it', ' of the quay');
  await press(page, 'Take it in');
  await says(page, 'Your clinic’s own (2)');
  await says(page, 'Six ways of the quay');
  rmSync(folder, { recursive: true, force: true });
  expect(page.problems).toEqual([]);
});

it('hands on a page that says nothing of anybody (long)', async () => {
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
  await says(other, 'Never while they drive.');
  expect(await textOf(other)).not.toMatch(/Wren|exercise|pain|clinic/i);
  expect([...phone.problems, ...other.problems]).toEqual([]);
});
