import { randomUUID } from 'node:crypto';
import type { Browser } from 'puppeteer-core';
import { createClient } from '@libsql/client';
import { closeDatabase, databaseUrl, patientById, versionsOf } from '@/db';
import {
  DESK,
  PHONE,
  beMember,
  closePagesAfterEach,
  freshPage,
  goTo,
  leaveBrowser,
  press,
  reloaded,
  says,
  textOf,
  chord,
} from '../support/browser';
import { workersBrowser } from '../support/chromium';
import {
  device,
  makeClinic,
  makePatient,
  screenedPatient,
  member,
  ownDomain,
  prescribe,
  useDatabase,
} from '../support/clinic';
import { type TestServer, sharedServer, startTestServer } from '../support/server';

let server: TestServer;
let browser: Browser;
let practitioner: Awaited<ReturnType<typeof member>>;

beforeAll(async () => {
  [server, browser] = [sharedServer(), await workersBrowser()];
  await useDatabase(server.data);
  practitioner = await member((await makeClinic('harbour', ownDomain())).emails.practitioner);
}, 900_000);

closePagesAfterEach();

afterAll(async () => {
  closeDatabase();
  await leaveBrowser(browser);
  await server?.close();
});

async function planOf(patientId: string) {
  const page = await freshPage(browser, DESK);
  await beMember(page, server.origin, practitioner.token);
  await goTo(page, `${server.origin}/patients/${patientId}/plan`);
  return page;
}

async function writeLine(page: Awaited<ReturnType<typeof planOf>>, search: string, dose: string) {
  await chord(page, 'Control', 'k');
  await page.keyboard.type(search);
  await page.keyboard.press('Enter');
  await page.waitForFunction(() =>
    document.activeElement?.getAttribute('aria-label')?.startsWith('Dose of'),
  );
  await page.keyboard.type(dose);
}

it('marks a wrong line at its character, says what was expected, and will not save it (long)', async () => {
  const page = await planOf(await makePatient(practitioner));
  await writeLine(page, 'tuck lying', '3x10 hold 5');
  await says(page, 'At character 11: A number without a unit');
  expect(await page.$eval('mark', (mark) => mark.textContent)).toBe('5');
  expect(
    await page.$eval('input[aria-label^="Dose of"]', (input) => input.getAttribute('aria-invalid')),
  ).toBe('true');
  await page.keyboard.press('Enter');
  await writeLine(page, 'chest', '2x30s');
  await says(page, 'Without the line that cannot be read yet.');
  const disabled = await page.$$eval('button', (buttons) =>
    buttons
      .filter((button) => button.textContent?.startsWith('Save as'))
      .map((button) => button.disabled),
  );
  expect(disabled).toEqual([true]);
  await page.focus('input[aria-label="Dose of Tuck lying down"]');
  await page.keyboard.type('3x10 hold 5s');
  await says(page, '3 sets of 10, hold 5 seconds');
  await page.close();
});

it('undoes a removal, moves lines by key, and keeps an unsaved desk through a reload (long)', async () => {
  const page = await planOf(await makePatient(practitioner));
  await writeLine(page, 'tuck lying', '10x10s daily');
  await page.keyboard.press('Enter');
  await writeLine(page, 'chest stretch', '2x30s daily');
  const names = () =>
    page.$$eval('ol li p.font-semibold', (all) => all.map((one) => one.textContent));
  expect(await names()).toEqual(['Tuck lying down', 'Hands-behind chest stretch']);
  await page.keyboard.down('Alt');
  await page.keyboard.press('ArrowUp');
  expect(await names()).toEqual(['Hands-behind chest stretch', 'Tuck lying down']);
  await page.keyboard.press('Delete');
  await page.keyboard.up('Alt');
  expect(await names()).toEqual(['Tuck lying down']);
  await press(page, 'Undo');
  expect(await names()).toEqual(['Hands-behind chest stretch', 'Tuck lying down']);
  await says(page, 'This desk is kept');
  await reloaded(page);
  await says(page, 'Your unsaved desk is back');
  expect(await names()).toEqual(['Hands-behind chest stretch', 'Tuck lying down']);
  expect(await page.$eval('input[aria-label="Dose of Tuck lying down"]', (i) => i.value)).toBe(
    '10x10s daily',
  );
  await page.close();
});

it('tells the second of two tabs, and loses neither’s lines (long)', async () => {
  const patientId = await screenedPatient(practitioner);
  const [one, two] = [await planOf(patientId), await planOf(patientId)];
  await one.bringToFront();
  await writeLine(one, 'tuck lying', '10x10s');
  await two.bringToFront();
  await writeLine(two, 'chest stretch', '2x30s');
  await press(two, 'Save as version 1');
  await says(two, 'Version 1 saved');
  await one.bringToFront();
  await press(one, 'Save as version 1');
  await says(one, 'Somebody saved another version in the meantime');
  expect(await one.$eval('input[aria-label^="Dose of"]', (i) => i.value)).toBe('10x10s');
  const versions = (await versionsOf(practitioner.clinicId, [patientId])).get(patientId);
  expect(versions).toHaveLength(1);
});

it('adds one patient when the form is sent twice', async () => {
  const page = await freshPage(browser, DESK);
  await beMember(page, server.origin, practitioner.token);
  await goTo(page, `${server.origin}/patients/new`);
  const count = async () => {
    const client = createClient({ url: databaseUrl() });
    const { rows } = await client.execute(
      "SELECT count(*) AS n FROM patient WHERE name = 'Twice Sent'",
    );
    client.close();
    return rows[0]?.n;
  };
  await page.type('input[name=name]', 'Twice Sent');
  await page.type('input[name=complaint]', 'Back');
  await page.evaluate(() => {
    const form = document.querySelector('form[novalidate]') as HTMLFormElement;
    form.requestSubmit();
    form.requestSubmit();
  });
  await page.waitForFunction(() => location.pathname.endsWith('/screen'));
  expect(await count()).toBe(1);
});

it('says which field is missing and keeps what was typed', async () => {
  const page = await freshPage(browser, DESK);
  await beMember(page, server.origin, practitioner.token);
  await goTo(page, `${server.origin}/patients/new`);
  await page.type('input[name=complaint]', 'A complaint that must stay');
  await press(page, 'Add and write');
  await says(page, 'The name is missing.');
  expect(await page.$eval('input[name=complaint]', (i) => i.value)).toBe(
    'A complaint that must stay',
  );
});

it.each([
  ['200 characters', 'Abcdefghij'.repeat(20)],
  ['Arabic', 'سلمى بنت البحر'],
])(
  'shows a name of %s on every view without pushing anything off the screen (long)',
  async (_, name) => {
    const patientId = await makePatient(practitioner, name);
    await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
    const desk = await planOf(patientId);
    for (const path of [`patients/${patientId}/plan`, `patients/${patientId}/follow`, '']) {
      await goTo(desk, `${server.origin}/${path}`);
      expect(await textOf(desk)).toContain(name);
      for (const { width, height } of [DESK, PHONE]) {
        await desk.setViewport({ width, height });
        const beyond = await desk.evaluate(() => document.documentElement.scrollWidth - innerWidth);
        expect([path, width, beyond > 0]).toEqual([path, width, false]);
      }
    }
    const { link } = await device(practitioner, patientId);
    const phone = await freshPage(browser, PHONE);
    await goTo(phone, `${server.origin}/open#${link}`);
    await says(phone, name);
    expect(
      await phone.evaluate(() => document.documentElement.scrollWidth - innerWidth),
    ).toBeLessThanOrEqual(0);
  },
);

it('refuses a name of 201 characters with a sentence (long)', async () => {
  const page = await freshPage(browser, DESK);
  await beMember(page, server.origin, practitioner.token);
  await goTo(page, `${server.origin}/patients/new`);
  await page.type('input[name=name]', 'x'.repeat(201));
  await page.type('input[name=complaint]', 'Neck');
  await press(page, 'Add and write');
  await says(page, 'The name can be at most 200 characters long.');
});

it('says that a link is not complete, or no longer works', async () => {
  const phone = await freshPage(browser, PHONE);
  await goTo(phone, `${server.origin}/open`);
  await says(phone, 'This link is not whole.');
  await phone.goto('about:blank');
  await goTo(phone, `${server.origin}/open#${'x'.repeat(43)}`);
  await says(phone, 'This link no longer works.');
  expect(phone.url()).not.toContain('xxx');
});

it('tells a patient whose record cannot be read whom to call, and the clinic which row it is', async () => {
  const patientId = await makePatient(practitioner, 'Spoilt Record');
  await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const { token } = await device(practitioner, patientId);
  // The server goes on writing meanwhile: wait for it, and change all in one transaction.
  const client = createClient({ url: databaseUrl(), timeout: 60_000 });
  // What a guard of the database keeps from changing is changed by another program here, and guarded again.
  const guards = await client.execute(
    "SELECT name, sql FROM sqlite_master WHERE type = 'trigger' AND name = 'programme_line_no_update'",
  );
  const [guard] = guards.rows;
  if (typeof guard?.sql !== 'string') throw new Error('no guard');
  await client.batch(
    [
      'DROP TRIGGER programme_line_no_update',
      {
        sql: "UPDATE programme_line SET exercise = '{' WHERE programme_id IN (SELECT id FROM programme WHERE patient_id = ?)",
        args: [patientId],
      },
      guard.sql,
    ],
    'write',
  );
  client.close();
  const phone = await freshPage(browser, PHONE);
  await phone.browserContext().setCookie({
    name: 'dl_patient',
    value: token,
    domain: new URL(server.origin).hostname,
    path: '/',
    httpOnly: true,
  });
  for (const path of ['/today', '/today/progress']) {
    await phone.goto(`${server.origin}${path}`, { waitUntil: 'load' });
    await says(phone, 'We cannot read something in your record');
    expect(await textOf(phone)).toContain('+000 555 01');
    expect(await textOf(phone)).not.toContain('exercise as it was sent');
  }
  const page = await planOf(patientId);
  await says(page, 'Part of this record cannot be read: an exercise as it was sent');
});

it('keeps what stands behind a character that no text has', async () => {
  const id = randomUUID();
  const answer = await fetch(`${server.origin}/api/v1/patients`, {
    method: 'POST',
    headers: {
      origin: server.origin,
      'content-type': 'application/json',
      cookie: `dl_member=${practitioner.token}`,
    },
    body: JSON.stringify({
      id,
      name: 'Wren\u0000 Tarbuck',
      complaint: 'Neck \\u0000 as it is written',
      zone: 'UTC',
      wakeMinute: 420,
      sleepMinute: 1320,
      minutesADay: null,
    }),
  });
  expect(answer.status).toBe(200);
  expect((await patientById(practitioner.clinicId, id))?.name).toBe('Wren Tarbuck');
});

it('says in a sentence that the database cannot be reached (long)', async () => {
  // Nothing answers there.
  const broken = await startTestServer({ DATABASE_URL: 'http://127.0.0.1:9' });
  try {
    const page = await freshPage(browser, DESK);
    await goTo(page, `${broken.origin}/sign-in`);
    await says(page, 'The record cannot be reached just now');
    const answer = await fetch(`${broken.origin}/api/v1/sign-in`, {
      method: 'POST',
      headers: { origin: broken.origin, 'content-type': 'application/json' },
      body: JSON.stringify({ email: 'a@b.example', password: 'x' }),
    });
    expect(answer.status).toBe(503);
    expect(((await answer.json()) as { say: string }).say).toContain('Nothing was saved');
  } finally {
    await broken.close();
  }
}, 900_000);
