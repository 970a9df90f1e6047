import { randomUUID } from 'node:crypto';
import { Secret, TOTP } from 'otpauth';
import type { Page } from 'puppeteer-core';
import { endMemberSession, write } from '@/db';
import { now } from '@/server/clock';
import { allow } from '@/server/files';
import { changeSafety } from '@/server/erase';
import { newestHistory, saveEntry } from '@/server/visit/entries';
import {
  DESK,
  PHONE,
  beMember,
  clickAt,
  freshPage,
  goTo,
  press,
  reloaded,
  says,
  textOf,
  typeAt,
} from '../support/browser';
import { PASSWORD, device, makePatient, member, today } from '../support/clinic';
import { eventually } from '../support/record';
import { browserStage } from '../support/browser-stage';
import { patientOf } from '../support/stage';

const stage = browserStage();

/** A page of the lead's own browser. */
async function leads(path: string) {
  const page = await freshPage(stage.browser, DESK);
  await beMember(page, stage.server.origin, (await member(stage.emails.lead)).token);
  await goTo(page, `${stage.server.origin}${path}`);
  return page;
}
const valueOf = (page: Page, selector: string) =>
  page.$eval(selector, (field) => (field as unknown as { value: string }).value);
/** Waits until the page says that everything typed is kept. */
const kept = (page: Page, words = 'Kept, not sent.') => says(page, words);

it('erases a record in two steps, and leaves no page of it (long)', async () => {
  const id = await makePatient(stage.practitioner, 'Quillon Vane');
  const page = await leads(`/patients/${id}/record`);
  await press(page, 'Erase this record');
  await says(page, 'Erase the record of this patient');
  expect(await page.$eval('main button[disabled]', (one) => one.textContent)).toBe(
    'Go on to the second step',
  );
  await clickAt(page, 'input[type=checkbox]');
  await press(page, 'Go on to the second step');
  await page.select('select[name=reason]', 'asked');
  await page.type('input[name=name]', 'Quillon');
  await page.type('input[name=password]', PASSWORD);
  await press(page, 'Erase this record for good');
  await says(page, 'This is not the patient’s name as the record has it.');
  // What was typed stays.
  expect(await valueOf(page, 'select[name=reason]')).toBe('asked');
  await page.type('input[name=name]', ' Vane');
  await press(page, 'Erase this record for good');
  await says(page, 'The record is erased.');
  await goTo(page, `${stage.server.origin}/patients/${id}/record`);
  await says(page, 'There is no such record in your clinic');
  await goTo(page, `${stage.server.origin}/clinic/keeping`);
  await says(page, 'the patient asked for it');
  await goTo(page, `${stage.server.origin}/clinic/audit`);
  expect(await textOf(page)).not.toContain('Quillon');
});

it('sets up a second factor, asks for its code on signing in, and takes a backup code (long)', async () => {
  const page = await stage.open('/account');
  await press(page, 'Set up a second factor');
  await says(page, 'An app on your phone shows a code');
  await page.type('input[name=password]', PASSWORD);
  await press(page, 'Begin');
  await says(page, 'The code it shows now');
  const secret = await page.$eval('.select-all', (one) =>
    (one.textContent ?? '').replaceAll(' ', ''),
  );
  const totp = new TOTP({ secret: Secret.fromBase32(secret) });
  await page.type('input[name=code]', totp.generate());
  await press(page, 'Set it up');
  await says(page, 'Backup codes');
  const codes = await page.$$eval('main li', (all) => all.map((one) => one.textContent ?? ''));
  expect(codes).toHaveLength(10);
  await press(page, 'I have kept them');
  await says(page, '10 backup codes are left');

  const browser = await freshPage(stage.browser, DESK);
  await goTo(browser, `${stage.server.origin}/sign-in`);
  await browser.type('input[name=email]', stage.emails.practitioner);
  await browser.type('input[name=password]', PASSWORD);
  await press(browser, 'Sign in');
  await says(browser, 'From the app on your phone, or a backup code.');
  expect(await browser.$('[aria-invalid=true]')).toBeNull();
  await browser.type('input[name=code]', '000000');
  await press(browser, 'Sign in');
  await says(browser, 'This code is not right.');
  await browser.$eval('input[name=code]', (field) => (field.value = ''));
  await browser.type('input[name=code]', codes[3] ?? '');
  await press(browser, 'Sign in');
  await says(browser, 'Morning list');
  await goTo(browser, `${stage.server.origin}/account`);
  await says(browser, '9 backup codes are left');
  // The lead sees who has one, and takes it away where the phone is lost.
  const lead = await leads('/clinic');
  await says(lead, 'with a second factor');
  await press(lead, 'Lost phone');
  await says(lead, 'signs in with the password alone');
  expect([...page.problems]).toEqual([]);
});

it('asks to sign in again beside the page, and then sends what was typed', async () => {
  const id = await makePatient(stage.practitioner, 'Wren Tarbuck');
  const page = await freshPage(stage.browser, DESK);
  const mine = await member(stage.emails.assistant);
  await beMember(page, stage.server.origin, mine.token);
  await goTo(page, `${stage.server.origin}/patients/${id}/screen`);
  await page.type('textarea', 'Since the storm');
  await says(page, 'Kept, not signed.');
  await write(() => [endMemberSession(mine.tokenHash, now())]);
  await press(page, 'Save the history');
  await says(page, 'Sign in again');
  await typeAt(page, '[role=dialog] input[name=email]', stage.emails.assistant);
  await typeAt(page, '[role=dialog] input[name=password]', PASSWORD);
  await press(page, 'Sign in');
  await says(page, 'Save as the newest history');
  expect((await newestHistory(await patientOf(stage, id)))?.onset).toBe('Since the storm');

  // Somebody else gets a page of their own: nothing of the one before goes out under their name.
  const again = await member(stage.emails.assistant);
  await beMember(page, stage.server.origin, again.token);
  await write(() => [endMemberSession(again.tokenHash, now())]);
  // Keeping what is typed asks as well.
  await page.type('textarea', ', at sea');
  await says(page, 'Sign in again');
  await typeAt(page, '[role=dialog] input[name=email]', stage.emails.lead);
  await typeAt(page, '[role=dialog] input[name=password]', PASSWORD);
  await press(page, 'Sign in');
  await says(page, 'Morning list');
  await says(page, 'lead of harbour');
  // Signing out of a session that is over asks for nothing.
  await page.deleteCookie(...(await page.cookies()));
  // The page may not be awake yet: the button is pressed until it does something.
  await eventually(async () => {
    const button = await page.$('::-p-xpath(//button[normalize-space(.)="Sign out"])');
    await button?.click();
    expect(await textOf(page)).toContain('Sign in to your clinic');
  });
  expect((await newestHistory(await patientOf(stage, id)))?.onset).toBe('Since the storm');
});

it('locks the desk: nothing is seen or sent until its member signs in, and what was typed stays (long)', async () => {
  const id = await makePatient(stage.practitioner, 'Lockyer Sands');
  const page = await freshPage(stage.browser, DESK);
  const mine = await member(stage.emails.assistant);
  await beMember(page, stage.server.origin, mine.token);
  await goTo(page, `${stage.server.origin}/patients/${id}/screen`);
  await page.type('textarea', 'Behind the lock');
  await says(page, 'Kept, not signed.');
  await press(page, 'Lock');
  await says(page, 'Sign in to go on.');
  expect(await textOf(page)).not.toContain('Lockyer Sands');
  // No key opens it, and another page wants a sign-in.
  await page.keyboard.press('Escape');
  expect(await textOf(page)).toContain('Locked');
  await eventually(async () => {
    const other = await fetch(`${stage.server.origin}/patients/${id}`, {
      headers: { cookie: `member=${mine.token}` },
      redirect: 'manual',
    });
    expect(other.status).toBeGreaterThanOrEqual(300);
  });
  await typeAt(page, '[role=dialog] input[name=email]', stage.emails.assistant);
  await typeAt(page, '[role=dialog] input[name=password]', PASSWORD);
  await press(page, 'Sign in');
  await says(page, 'Lockyer Sands');
  expect(await page.$eval('textarea', (field) => field.value)).toBe('Behind the lock');
  await press(page, 'Save the history');
  await says(page, 'Save as the newest history');
  expect((await newestHistory(await patientOf(stage, id)))?.onset).toBe('Behind the lock');
});

it('brings back a form that was begun: new patient, own exercise, goal, consent and measures (long)', async () => {
  const page = await stage.open('/patients/new');
  await page.type('input[name=name]', 'Corry Sandoway');
  await page.type('input[name=complaint]', 'Neck');
  await kept(page);
  await goTo(page, `${stage.server.origin}/exercises/new`);
  await page.type('main input[maxlength], main input:not([type])', 'Pull the oar');
  await kept(page);
  await goTo(page, `${stage.server.origin}/patients/new`);
  expect(await valueOf(page, 'input[name=name]')).toBe('Corry Sandoway');
  await says(page, 'Begun before, and not sent.');
  await press(page, 'Add and write the programme');
  await says(page, 'Is home exercise safe?');
  const id = page.url().split('/').at(-2) ?? '';
  await goTo(page, `${stage.server.origin}/patients/new`);
  expect(await valueOf(page, 'input[name=name]')).toBe('');
  await goTo(page, `${stage.server.origin}/exercises/new`);
  await says(page, 'Begun before, and not sent.');

  await goTo(page, `${stage.server.origin}/patients/${id}/screen`);
  const sent = (path: string) =>
    page.waitForResponse((response) => response.url().endsWith(path) && response.ok());
  let keeping = sent('/api/v1/visit-drafts');
  await page.type('input[name=activity]', 'Row to the light');
  await keeping;
  keeping = sent('/api/v1/visit-drafts');
  await clickAt(page, 'input[name=photos]');
  await keeping;
  await reloaded(page);
  expect(await valueOf(page, 'input[name=activity]')).toBe('Row to the light');
  expect(await page.$eval('input[name=photos]', (box) => box.checked)).toBe(true);
  await press(page, 'Record the consent');
  await says(page, 'Consent recorded.');

  await goTo(page, `${stage.server.origin}/patients/${id}/measure`);
  keeping = sent('/api/v1/visit-drafts');
  await page.type('main input[inputmode=decimal], main input[type=text]', '41');
  await keeping;
  await reloaded(page);
  await says(page, 'Save 1 measured');
  expect(page.problems).toEqual([]);
});

it('rereads a page that Back brings again, and refuses one that was written anew meanwhile', async () => {
  const id = await makePatient(stage.practitioner, 'Rill Marram');
  const page = await stage.open(`/patients/${id}/screen`);
  await page.type('textarea', 'First words');
  await says(page, 'Kept, not signed.');
  // A colleague writes the history while this page stands open.
  await saveEntry(stage.lead, {
    id: randomUUID(),
    patientId: id,
    kind: 'history',
    supersedes: null,
    on: today(),
    body: {
      onset: 'Theirs',
      aggravates: '',
      eases: '',
      morning: '',
      day: '',
      night: '',
      medicines: '',
      earlierCare: '',
      irritability: null,
    },
  });
  await press(page, 'Save the history');
  await says(page, 'This was written anew in the meantime.');
  expect(await valueOf(page, 'textarea')).toBe('First words');
  await press(page, 'Measure');
  await says(page, 'Side photo');
  await page.goBack();
  await page.waitForFunction(() => document.querySelector('textarea')?.value === 'Theirs');
});

it('shows the clinic’s notice first on a phone, without any script, and then never again (long)', async () => {
  const lead = await member(stage.emails.lead);
  const rules = { keepYears: null, linkDays: 90, deviceDays: 180, factorRequired: false };
  await changeSafety(lead, { ...rules, privacyText: 'We keep what you tell us.\n\nAsk Maren.' });
  const here = await device(
    stage.practitioner,
    await makePatient(stage.practitioner, 'Tolly Brill'),
  );
  const phone = await freshPage(stage.browser, PHONE);
  await phone.setJavaScriptEnabled(false);
  await phone.browserContext().setCookie({
    name: 'dl_patient',
    value: here.token,
    domain: new URL(stage.server.origin).hostname,
    path: '/',
    httpOnly: true,
  });
  await phone.goto(`${stage.server.origin}/today`);
  await says(phone, 'We keep what you tell us.');
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await Promise.all([phone.waitForNavigation(), phone.click('form button')]);
  await says(phone, 'Tolly');
  expect(await textOf(phone)).not.toContain('We keep what you tell us.');
  await phone.goto(`${stage.server.origin}/today/settings`);
  expect(await phone.$eval('details', (one) => one.textContent)).toContain('Ask Maren.');
  await changeSafety(lead, { ...rules, privacyText: '' });
});

it('opens a closed file to an assistant with a reason (long)', async () => {
  const id = await makePatient(stage.lead, 'Pell Whinbush');
  await allow(stage.lead, {
    memberId: stage.assistant.id,
    sees: 'chosen',
    practitioners: [stage.practitioner.id],
    issuesLinks: false,
  });
  const page = await freshPage(stage.browser, DESK);
  await beMember(page, stage.server.origin, (await member(stage.emails.assistant)).token);
  await goTo(page, `${stage.server.origin}/patients/${id}`);
  await says(page, 'A closed file');
  expect(await textOf(page)).not.toContain('Pell');
  await page.type('textarea', 'Short');
  await press(page, 'Open the file');
  await says(page, 'Write in a few words why');
  await page.type('textarea', 'er says it, but she fell in the hall');
  await press(page, 'Open the file');
  await says(page, 'Pell Whinbush');
  expect(await textOf(page)).not.toContain('Patient’s link');
  await goTo(page, `${stage.server.origin}/`);
  expect(await textOf(page)).not.toContain('Pell');
  const lead = await leads('/clinic/keeping');
  await says(lead, 'she fell in the hall');
});
