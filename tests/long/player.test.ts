import type { Browser, Page } from 'puppeteer-core';
import { closeDatabase } from '@/db';
import {
  PHONE,
  freshPage,
  goTo,
  launchBrowser,
  press,
  reloaded,
  says,
  textOf,
  twiceAsFast,
} from '../support/browser';
import { device, makeClinic, makePatient, member, prescribe, useDatabase } from '../support/clinic';
import { repsTold, toldToday, untilToldExactly } from '../support/record';
import { type TestServer, startTestServer } from '../support/server';

let server: TestServer;
let browser: Browser;
let practitioner: Awaited<ReturnType<typeof member>>;

beforeAll(async () => {
  [server, browser] = await Promise.all([startTestServer(), launchBrowser()]);
  await useDatabase(server.data);
  practitioner = await member((await makeClinic('harbour')).emails.practitioner);
}, 900_000);

afterAll(async () => {
  closeDatabase();
  await browser?.close();
  await server?.close();
});

const LINES = [
  { exerciseId: 'neck-warm-up', dose: '4x2s gap 2s' },
  { exerciseId: 'sciatic-slider', dose: 'x2 move 2s' },
];

/** A patient with a short programme, at the running player on their phone. */
async function atThePlayer(prepare?: (page: Page) => Promise<void>) {
  const patientId = await makePatient(practitioner, 'Linnet Marlow');
  await prescribe(practitioner, patientId, LINES);
  const { link } = await device(practitioner, patientId);
  const phone = await freshPage(browser, PHONE);
  await twiceAsFast(phone);
  await prepare?.(phone);
  await goTo(phone, `${server.origin}/open#${link}`);
  await says(phone, 'Begin');
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  return { phone, patientId };
}

const told = (patientId: string) => toldToday(practitioner.clinicId, patientId);

const untilTold = (patientId: string, reps: number) =>
  untilToldExactly(practitioner.clinicId, patientId, reps);

afterEach(async () => {
  // A forgotten page goes on playing and slows the next.
  for (const context of browser.browserContexts()) {
    if (context !== browser.defaultBrowserContext()) await context.close();
  }
});

async function finish(phone: Page): Promise<void> {
  await says(phone, 'Done. What you did is saved.');
  await press(phone, 'Leave without telling');
}

it('keeps every repetition while there is no signal, and sends them when there is one', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  await phone.setOfflineMode(true);
  await finish(phone);
  await says(phone, 'Saved on this phone. It goes to your clinic when there is a signal.');
  expect(await textOf(phone)).toContain('Sciatic nerve slider, sitting – done');
  expect(repsTold(await told(patientId))).toHaveLength(0);
  await phone.setOfflineMode(false);
  await says(phone, 'Everything you did is at harbour.');
  await untilTold(patientId, 6);
  expect(repsTold(await told(patientId)).map((rep) => [rep.rep, rep.moved])).toEqual([
    [1, 2],
    [2, 2],
    [3, 2],
    [4, 2],
    [1, 2],
    [2, 2],
  ]);
}, 900_000);

it('keeps what was done when the server goes away and comes back', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  await server.stop('SIGKILL');
  await finish(phone);
  await says(phone, 'Saved on this phone');
  await server.start();
  await reloaded(phone);
  await says(phone, 'Everything you did is at harbour.');
  await untilTold(patientId, 6);
}, 900_000);

it('puts a session on the right day when the phone’s clock is three days ahead', async () => {
  const { phone, patientId } = await atThePlayer(async (page) => {
    await page.evaluateOnNewDocument(() => {
      const real = Date.now.bind(Date);
      Date.now = () => real() + 3 * 86_400_000;
    });
  });
  await finish(phone);
  await untilTold(patientId, 6);
}, 900_000);

it('stands still, instead of guessing, when nobody was watching', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  // A phone that sleeps runs no timers; its monotonic clock goes on.
  await phone.evaluate(() => {
    const real = performance.now.bind(performance);
    performance.now = () => real() + 600_000;
  });
  await says(phone, 'The screen was off, so the count stood still.');
  await press(phone, 'Go on');
  await finish(phone);
  await untilTold(patientId, 6);
}, 900_000);
