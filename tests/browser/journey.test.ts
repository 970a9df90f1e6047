import type { Browser } from 'puppeteer-core';
import { closeDatabase } from '@/db';
import {
  DESK,
  PHONE,
  chord,
  clickAt,
  freshPage,
  goTo,
  leaveBrowser,
  press,
  says,
  signInAs,
  textOf,
  twiceAsFast,
} from '../support/browser';
import { workersBrowser } from '../support/chromium';
import { makeClinic, ownDomain, useDatabase } from '../support/clinic';
import { eventually, repsTold, toldToday } from '../support/record';
import { type TestServer, sharedServer, startTestServer } from '../support/server';

let server: TestServer;
let browser: Browser;
let clinic: Awaited<ReturnType<typeof makeClinic>>;

beforeAll(async () => {
  [server, browser] = [sharedServer(), await workersBrowser()];
  await useDatabase(server.data);
  clinic = await makeClinic('harbour', ownDomain());
}, 900_000);

afterAll(async () => {
  closeDatabase();
  await leaveBrowser(browser);
  await server?.close();
});

it('prescribes two exercises by keyboard, opens the link on a phone, does the session and sees it on Follow', async () => {
  const desk = await freshPage(browser, DESK);
  await signInAs(desk, server.origin, clinic.emails.practitioner);
  await press(desk, 'New patient');
  await desk.waitForSelector('input[name=complaint]');
  await desk.type('input[name=name]', 'Linnet Marlow');
  await desk.type('input[name=complaint]', 'Neck ache');
  await Promise.all([desk.waitForNavigation(), desk.keyboard.press('Enter')]);
  const patientId = /patients\/([0-9a-f-]+)/.exec(desk.url())?.[1] ?? '';

  // A new patient's file opens at Screen, and nothing can be sent before.
  await says(desk, 'Is home exercise safe?');
  await desk.type('aside input[type=number]', '44');
  await press(desk, 'Everything else: no');
  await press(desk, 'Confirm the screening');
  await says(desk, 'Go ahead, screened');
  await goTo(desk, `${server.origin}/patients/${patientId}/plan`);

  // From here on by keyboard alone.
  const typed: string[] = [];
  const type = async (text: string) => {
    typed.push(...text);
    await desk.keyboard.type(text);
  };
  const key = async (name: 'Enter' | 'Control K') => {
    typed.push(name);
    if (name === 'Enter') await desk.keyboard.press(name);
    else await chord(desk, 'Control', 'k');
  };
  const began = Date.now();
  await key('Control K');
  await type('tuck lying');
  await key('Enter');
  await desk.waitForFunction(
    () => document.activeElement?.getAttribute('aria-label') === 'Dose of Tuck lying down',
  );
  await type('x2 hold 1s gap 1s daily');
  await key('Enter');
  await type('blade set');
  await key('Enter');
  await desk.waitForFunction(
    () => document.activeElement?.getAttribute('aria-label') === 'Dose of Blade set, down and back',
  );
  await type('2x1s daily');
  await says(desk, '2 holds of 1 second');
  await desk.keyboard.down('Control');
  await key('Enter');
  await desk.keyboard.up('Control');
  await says(desk, 'Version 1 saved');
  console.log(
    `two exercises prescribed with ${typed.length} keys in ${((Date.now() - began) / 1000).toFixed(1)} s`,
  );

  await press(desk, 'Patient’s link');
  await press(desk, 'Make the link');
  const shown = await desk.waitForSelector('[data-testid=patient-link]');
  const link = (await shown?.evaluate((element) => element.textContent)) ?? '';
  expect(link).toMatch(new RegExp(`^${server.origin}/open#[\\w-]{40,}$`));

  const phone = await freshPage(browser, PHONE);
  await twiceAsFast(phone);
  const addresses: string[] = [];
  phone.on('request', (request) => addresses.push(request.url()));
  await goTo(phone, link);
  await phone.waitForFunction(() => location.pathname === '/today');
  await says(phone, 'Tuck lying down');
  await press(phone, 'Begin');
  await says(phone, 'Before your first session');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  await says(phone, 'Hold');
  await says(phone, 'Done. What you did is saved.');
  await clickAt(phone, 'input[name=pain][value="3"]');
  await phone.type('input:not([type=radio])', 'warm and loose');
  await press(phone, 'Save');
  await says(phone, 'Everything you did is at harbour.');
  expect(await textOf(phone)).toContain('Tuck lying down – done');
  // The token is in no address the server was asked for.
  const token = link.split('#')[1] ?? 'none';
  expect(addresses.filter((address) => address.split('#')[0]?.includes(token))).toEqual([]);
  expect(phone.url()).not.toContain(token);

  await eventually(async () => {
    const told = await toldToday(clinic.id, patientId);
    expect(told.map((body) => body.type)).toEqual(['started', 'line', 'line', 'ended', 'check-in']);
  });
  const told = await toldToday(clinic.id, patientId);
  expect(repsTold(told)).toMatchObject([
    { rep: 1, held: 1 },
    { rep: 2, held: 1 },
    { rep: 1, held: 1 },
    { rep: 2, held: 1 },
  ]);

  await goTo(desk, `${server.origin}/patients/${patientId}/follow`);
  const follow = await textOf(desk);
  expect(follow).toContain('1 of 1');
  expect(follow).toContain('3 of 10');
  expect(follow).toContain('warm and loose');
  await goTo(desk, `${server.origin}/`);
  const morning = await textOf(desk);
  expect(morning).toContain('Linnet Marlow');
  expect(morning).toContain('Neck ache');
  expect(morning).toContain('today');
  expect([...desk.problems, ...phone.problems]).toEqual([]);
}, 480_000);

it('lets a new clinic in with the code from the terminal, once (long)', async () => {
  const empty = await startTestServer();
  try {
    const page = await freshPage(browser, DESK);
    await goTo(page, `${empty.origin}/`);
    await says(page, 'Set up the clinic');
    const code = /type this code: (\w+)/.exec(empty.log())?.[1] ?? '';
    const fields = {
      clinic: 'New Quay',
      phone: '1',
      emergencyText: 'Call 000.',
      name: 'Lead',
      email: 'lead@quay.example',
    };
    for (const [name, value] of Object.entries(fields))
      await page.type(`input[name=${name}]`, value);
    await page.type('input[name=password]', 'short');
    await page.type('input[name=code]', 'wrong');
    await press(page, 'Set up the clinic');
    await says(page, 'A password has at least 10 characters.');
    await page.type('input[name=password]', ' and now long enough');
    await press(page, 'Set up the clinic');
    await says(page, 'This is not the code printed in the terminal.');
    expect(await page.$eval('input[name=clinic]', (input) => input.value)).toBe('New Quay');
    await page.$eval('input[name=code]', (input) => (input.value = ''));
    await page.type('input[name=code]', code);
    // The address in the terminal carries the code, which no server is told.
    const carried = await freshPage(browser, DESK);
    await goTo(carried, `${empty.origin}/first-run#${code}`);
    await carried.waitForFunction(
      (wanted) => document.querySelector<HTMLInputElement>('input[name=code]')?.value === wanted,
      {},
      code,
    );
    await Promise.all([page.waitForNavigation(), press(page, 'Set up the clinic')]);
    await says(page, 'Sign in to your clinic');
    await page.type('input[name=email]', 'LEAD@quay.example');
    await page.type('input[name=password]', 'short and now long enough');
    await Promise.all([page.waitForNavigation(), page.keyboard.press('Enter')]);
    await says(page, 'No patients yet.');
    await goTo(page, `${empty.origin}/first-run`);
    expect(page.url()).not.toContain('first-run');
  } finally {
    await empty.close();
  }
}, 900_000);
