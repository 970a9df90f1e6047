import type { Dialog, Page } from 'puppeteer-core';
import { ENGLISH } from '@/catalogue';
import { DESK, PHONE, beMember, clickAt, freshPage, press, says } from '../support/browser';
import { device, prescribe, screenedPatient } from '../support/clinic';
import { withoutParts } from '../support/cut-off';
import { doseOf } from '../support/desk';
import { browserStage } from '../support/browser-stage';

/** Parts of a page that come when it is at rest, and a connection that is gone by then. */
const stage = browserStage();

async function desk(path: string, meanwhile?: 'refused' | 'waiting', next: readonly string[] = []) {
  const page = await freshPage(stage.browser, DESK);
  const { token } = stage.practitioner;
  await beMember(page, stage.server.origin, token);
  const [address = '', ...others] = [path, ...next].map((one) => `${stage.server.origin}${one}`);
  const through = await withoutParts(page, address, `dl_member=${token}`, meanwhile, others);
  return { page, through };
}

/** What the browser itself said, once it has. */
const saidPlainly = (page: Page) =>
  new Promise<string>((resolve) => {
    page.once('dialog', (dialog: Dialog) => {
      resolve(dialog.message());
      void dialog.accept();
    });
  });

it('types, finds and sends on the desk without them, and says what it has to say', async () => {
  const patientId = await screenedPatient(stage.practitioner);
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'tuck-lying', dose: '3x10 hold 5s rest 60s daily' },
  ]);
  const { page, through } = await desk(`/patients/${patientId}/plan`);
  const field = 'input[aria-label="Dose of Tuck lying down"]';
  for (const part of ['The weeks ahead', 'The checks', 'The time of the day'])
    await says(page, `${part} did not come.`);
  await page.focus(field);
  await page.keyboard.press('End');
  await page.keyboard.type(' left');
  await says(page, 'left only, daily');
  await page.keyboard.press('Enter');
  await page.keyboard.type('blade set');
  await page.waitForSelector('[cmdk-item][data-selected=true]');
  await page.keyboard.press('Enter');
  await page.waitForSelector('input[aria-label="Dose of Blade set, down and back"]:focus');
  const said = saidPlainly(page);
  await page.keyboard.down('Alt');
  await page.keyboard.press('Delete');
  await page.keyboard.up('Alt');
  expect(await said).toContain('Removed.');
  // Once the connection is back the same is said on the page, and can be taken back there.
  through();
  await page.focus(field);
  await page.keyboard.down('Alt');
  await page.keyboard.press('Delete');
  await page.keyboard.up('Alt');
  await clickAt(page, '[data-sonner-toast] button');
  await page.waitForSelector(field);
  expect(await doseOf(page, 'Tuck lying down')).toContain('left');
  // The weeks that the server drew make way for the sentence: the framework tells of it, and no more.
  expect(page.problems.filter((one) => !one.includes('error #418'))).toEqual([]);
});

it('keeps what was reckoned with the page while a key is pressed before the rest has come', async () => {
  const patientId = await screenedPatient(stage.practitioner, 'Quay Early');
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'tuck-lying', dose: '3x10 hold 5s rest 60s daily' },
  ]);
  const { page, through } = await desk(`/patients/${patientId}/plan`, 'waiting');
  const shown = () =>
    page.evaluate(() => [
      document.querySelector('[data-testid=day-time]')?.textContent ?? 'no time',
      document.querySelector('section[aria-label=Checks]') !== null,
      document.querySelector('section[aria-label="The day"]') !== null,
    ]);
  const before = await shown();
  expect(before.slice(1)).toEqual([true, true]);
  await page.focus('input[aria-label="Dose of Tuck lying down"]');
  await page.keyboard.press('Home');
  await page.keyboard.press('Delete');
  await page.keyboard.type('9');
  await says(page, '9 sets of 10');
  expect(await shown()).toEqual(before);
  // Unfolded before its scripts are there, it is filled once they are.
  await (await page.waitForSelector('summary::-p-text(If every step succeeds)'))?.click();
  through();
  await says(page, 'What this programme would take by its schools’ rules');
  await page.waitForFunction(
    (time) => document.querySelector('[data-testid=day-time]')?.textContent !== time,
    {},
    before[0],
  );
  expect((await shown()).slice(1)).toEqual([true, true]);
  expect(page.problems).toEqual([]);
});

it('comes whole where it is gone to from another page: nothing moves under the hand', async () => {
  const patientId = await screenedPatient(stage.practitioner, 'Quay Whole');
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'tuck-lying', dose: '3x10 hold 5s breath 4-0-6 rest 60s daily' },
  ]);
  const file = `/patients/${patientId}`;
  const { page, through } = await desk(`${file}/screen`, 'waiting', [`${file}/plan`]);
  await page.evaluate(() => {
    const standing = () =>
      [...document.querySelectorAll('main section')].map((one) => one.getAttribute('aria-label'));
    const watch = new MutationObserver(() => {
      if (!standing().includes('Programme')) return;
      const note = /One breath takes/.exec(document.body.innerText)?.[0];
      Object.assign(globalThis, { firstSeen: [...standing(), note] });
      watch.disconnect();
    });
    watch.observe(document.body, { childList: true, subtree: true });
  });
  const asked = new Promise<void>((resolve) => {
    let isAnswered = false;
    page.on('response', (one) => {
      if (new URL(one.url()).pathname.endsWith('/plan')) isAnswered = true;
    });
    page.on('request', (one) => {
      if (isAnswered && one.url().endsWith('.js')) resolve();
    });
  });
  await press(page, 'Plan');
  await asked;
  through();
  await says(page, 'Begins on');
  const firstSeen = await page.evaluate(
    () => (globalThis as unknown as { firstSeen: string[] }).firstSeen,
  );
  expect(firstSeen).toEqual(
    expect.arrayContaining(['Programme', 'One breath takes', 'Checks', 'The day', 'Coming weeks']),
  );
  expect(page.problems).toEqual([]);
});

it('says on the phone that the exercises have not come, and begins once they have (long)', async () => {
  const { practitioner } = stage;
  const patientId = await screenedPatient(practitioner, 'Quay Cut');
  await prescribe(practitioner, patientId, [
    { exerciseId: 'tuck-lying', dose: '3x10 hold 5s rest 60s daily' },
  ]);
  const { token } = await device(practitioner, patientId);
  const phone = await freshPage(stage.browser, PHONE);
  const cookie = { name: 'dl_patient', value: token };
  await phone.browserContext().setCookie({ ...cookie, domain: 'localhost', path: '/' });
  const through = await withoutParts(
    phone,
    `${stage.server.origin}/today`,
    `${cookie.name}=${cookie.value}`,
  );
  await press(phone, ENGLISH.texts['today.begin']);
  await says(phone, ENGLISH.texts['today.notHere']);
  through();
  await says(phone, ENGLISH.texts['first.understood']);
  expect(phone.problems).toEqual([]);
});

// The last one: locking ends the member's session.
it('hides a locked page before the way back in has come, and lets in once it has', async () => {
  const patientId = await screenedPatient(stage.practitioner, 'Quay Locked');
  const { page, through } = await desk(`/patients/${patientId}`);
  await press(page, 'Lock');
  await page.waitForFunction(
    () => getComputedStyle(document.querySelector('main') ?? document.body).visibility === 'hidden',
  );
  expect(await page.$('input[type=password]')).toBeNull();
  through();
  await page.waitForSelector('input[type=password]', { visible: true });
  expect(page.problems).toEqual([]);
});
