import type { Browser, Page } from 'puppeteer-core';
import { closeDatabase, openAlertsOf, pausesOf } from '@/db';
import { issueLink, revokeLink } from '@/server/links';
import {
  PHONE,
  freshPage,
  goTo,
  launchBrowser,
  press,
  reloaded,
  reportTrouble,
  says,
  textOf,
  twiceAsFast,
} from '../support/browser';
import { device, makeClinic, makePatient, member, prescribe, useDatabase } from '../support/clinic';
import { eventually, repsTold, toldToday, untilToldExactly } from '../support/record';
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

it('loses nothing when the page is reloaded in the middle, and goes on where it left off', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  await reloaded(phone);
  // The repetition done is told even if the session is never gone on with.
  await eventually(async () => {
    expect(repsTold(await told(patientId)).length).toBeGreaterThanOrEqual(1);
  });
  await says(phone, 'Go on where you left off');
  await press(phone, 'Go on where you left off');
  await press(phone, 'Start');
  await finish(phone);
  await says(phone, 'Everything you did is at harbour.');
  await eventually(async () => {
    const reps = repsTold(await told(patientId)).map((rep) => rep.rep);
    expect(reps).toEqual([1, 2, 3, 4, 1, 2]);
  });
}, 900_000);

it('keeps what was done when the link is ended in the middle, and sends it after a new one', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  await revokeLink(practitioner, patientId);
  await finish(phone);
  await says(phone, 'Your link no longer works');
  const before = repsTold(await told(patientId)).length;
  expect(before).toBeLessThan(6);
  await reloaded(phone);
  await says(phone, 'still saved on this phone');
  const { token } = await issueLink(practitioner, patientId);
  await goTo(phone, `${server.origin}/open#${token}`);
  await untilTold(patientId, 6);
}, 900_000);

it('pauses the programme and tells the clinic when something feels wrong', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, 'Move');
  await press(phone, 'Stop');
  await says(phone, 'What you did so far is saved.');
  await reportTrouble(phone, 'An arm or leg is weak', 2, 'as usual');
  await says(phone, 'Stop now, and call your clinic');
  expect(await textOf(phone)).toContain('+000 555 01');
  await press(phone, 'Next');
  await press(phone, 'Leave without telling');
  await says(phone, 'Your programme is paused');
  expect(await textOf(phone)).not.toContain('Begin');
  // The page pauses at once; the report may still be on its way.
  await eventually(async () => {
    expect(await openAlertsOf(practitioner.clinicId, [patientId])).toMatchObject([
      { kind: 'stopped for a symptom' },
    ]);
  });
  expect(await pausesOf(practitioner.clinicId, [patientId])).toMatchObject([
    { cause: 'stop', toDate: null },
  ]);
}, 900_000);

it('pauses, goes back, and leaves an exercise out with its reason', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  await press(phone, 'Pause');
  await says(phone, 'Paused.');
  const frozen = await phone.$eval('section p.figures', (element) => element.textContent);
  await new Promise((resolve) => setTimeout(resolve, 1500));
  expect(await phone.$eval('section p.figures', (element) => element.textContent)).toBe(frozen);
  await press(phone, 'Go on');
  await press(phone, 'Back');
  await press(phone, 'Skip');
  await press(phone, 'I do not have what it needs');
  await says(phone, 'Sciatic nerve slider, sitting');
  await finish(phone);
  await says(phone, 'Everything you did is at harbour.');
  await eventually(async () => {
    const lines = (await told(patientId)).filter((body) => body.type === 'line');
    expect(lines.some((line) => line.skipped === 'no equipment')).toBe(true);
    expect(repsTold(lines).filter((rep) => rep.moved >= 2).length).toBeGreaterThanOrEqual(3);
  });
}, 900_000);
