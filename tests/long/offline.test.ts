import { rmSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import { eventsOfDay } from '@/db';
import {
  PHONE,
  freshPage,
  goTo,
  launchBrowser,
  press,
  says,
  twiceAsFast,
} from '../support/browser';
import { device, makePatient, prescribe, today } from '../support/clinic';
import { eventually, repsTold, toldToday, untilToldExactly } from '../support/record';
import { temporaryFolder } from '../support/server';
import { browserStage } from '../support/stage';

const stage = browserStage({});

const LINES = [
  { exerciseId: 'neck-warm-up', dose: '4x2s gap 2s' },
  { exerciseId: 'sciatic-slider', dose: 'x2 move 2s' },
];

afterEach(async () => {
  for (const context of stage.browser.browserContexts())
    if (context !== stage.browser.defaultBrowserContext()) await context.close();
  if (!(await reachable())) await stage.server.start();
});

async function reachable(): Promise<boolean> {
  return fetch(`${stage.server.origin}/sign-in`).then(
    () => true,
    () => false,
  );
}

/** A patient's phone that has opened its link once and has everything it needs. */
async function phoneWith(lines = LINES) {
  const { practitioner, server } = stage;
  const patientId = await makePatient(practitioner, 'Linnet Marlow');
  await prescribe(practitioner, patientId, lines);
  const { link } = await device(practitioner, patientId);
  const phone = await freshPage(stage.browser, PHONE);
  await twiceAsFast(phone);
  await goTo(phone, `${server.origin}/open#${link}`);
  await phone.waitForFunction(() => location.pathname === '/today');
  await says(phone, 'Everything you did is at harbour.');
  await kept(phone);
  return { phone, patientId, origin: server.origin };
}

/** Waits until the worker has kept the page and the player's files. */
async function kept(phone: Page): Promise<void> {
  await phone.waitForFunction(
    async () => {
      const cache = await caches.open('dry-lantern-1');
      const names = (await cache.keys()).map(({ url }) => url);
      return names.some((url) => url.endsWith('/today')) && names.length > 6;
    },
    { polling: 200 },
  );
}

const repsOf = async (patientId: string) =>
  repsTold(await toldToday(stage.practitioner.clinicId, patientId));

const untilTold = (patientId: string, reps: number) =>
  untilToldExactly(stage.practitioner.clinicId, patientId, reps);

it('loses nothing when the browser itself is closed in the middle', async () => {
  const { practitioner, server } = stage;
  const patientId = await makePatient(practitioner, 'Linnet Marlow');
  await prescribe(practitioner, patientId, LINES);
  const { link } = await device(practitioner, patientId);
  const profile = temporaryFolder('profile');
  try {
    const first = await launchBrowser(profile);
    const phone = await first.newPage();
    await twiceAsFast(phone);
    await phone.setViewport(PHONE);
    await goTo(phone, `${server.origin}/open#${link}`);
    await press(phone, 'Begin');
    await press(phone, 'I understand');
    await press(phone, 'Start');
    await says(phone, '3 of 4');
    await server.stop('SIGKILL');
    await says(phone, '4 of 4');
    await first.close();
    await server.start();
    const second = await launchBrowser(profile);
    const again = await second.newPage();
    await goTo(again, `${server.origin}/today`);
    // What was done before the browser went is told, each once, and the rest is still to do.
    // A slow machine may finish the fourth before the browser is gone.
    await eventually(async () => {
      const told = (await repsOf(patientId)).map(({ rep }) => rep);
      expect(told.length).toBeGreaterThanOrEqual(3);
      expect(told).toEqual([1, 2, 3, 4].slice(0, told.length));
    });
    await says(again, 'Go on where you left off');
    await second.close();
  } finally {
    rmSync(profile, { recursive: true, force: true });
  }
});

it('tells the same things ten times without anything being there twice', async () => {
  const { phone, patientId } = await phoneWith();
  const posted: string[] = [];
  phone.on('request', (request) => {
    if (request.url().endsWith('/patient/events')) posted.push(request.postData() ?? '');
  });
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  await says(phone, 'Done. What you did is saved.');
  await press(phone, 'Leave without telling');
  await untilTold(patientId, 6);
  // The end of the session is told after its reps: only then is the count settled.
  await says(phone, 'Everything you did is at harbour.');
  const before = (await eventsOfDay(stage.practitioner.clinicId, patientId, today())).length;
  const answers = await phone.evaluate(async (bodies) => {
    const statuses: number[] = [];
    for (let time = 0; time < 10; time += 1)
      for (const body of bodies) {
        const response = await fetch('/api/v1/patient/events', {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body,
        });
        statuses.push(response.status);
      }
    return statuses;
  }, posted);
  expect(new Set(answers)).toEqual(new Set([200]));
  expect(await eventsOfDay(stage.practitioner.clinicId, patientId, today())).toHaveLength(before);
  expect(await repsOf(patientId)).toHaveLength(6);
});

it('goes at the patient’s own pace, does less truthfully, and begins an exercise again', async () => {
  const { phone, patientId } = await phoneWith();
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await phone.$$eval('details', (all) => all.forEach((one) => (one.open = true)));
  await phone.$$eval('footer label', (labels) =>
    labels.find((one) => one.textContent?.includes('I tap when I am done'))?.click(),
  );
  await press(phone, 'Start');
  await press(phone, 'I am ready');
  await says(phone, 'Done, next');
  await new Promise((resolve) => setTimeout(resolve, 1200));
  await press(phone, 'Done, next');
  await press(phone, 'Once more');
  await press(phone, 'I am ready');
  await says(phone, 'Done, next');
  await new Promise((resolve) => setTimeout(resolve, 2500));
  await press(phone, 'Done, next');
  await press(phone, 'Do less');
  await says(phone, 'Sciatic nerve slider, sitting');
  await press(phone, 'Stop');
  await press(phone, 'It is enough for now');
  await press(phone, 'Leave without telling');
  await eventually(async () => {
    const lines = (await toldToday(stage.practitioner.clinicId, patientId)).filter(
      (body) => body.type === 'line',
    );
    expect(lines.every(({ skipped }) => skipped === null)).toBe(true);
    const moved = (await repsOf(patientId)).map((rep) => rep.moved);
    expect(moved.every((seconds) => seconds >= 1)).toBe(true);
    expect(Math.max(...moved)).toBeGreaterThan(2.2);
  });
});
