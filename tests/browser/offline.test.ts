import type { Page } from 'puppeteer-core';
import {
  PHONE,
  freshPage,
  goTo,
  press,
  reportTrouble,
  says,
  textOf,
  twiceAsFast,
} from '../support/browser';
import { device, makePatient, prescribe } from '../support/clinic';
import { eventually, repsTold, toldToday, untilToldExactly } from '../support/record';
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

it('opens, plays and keeps everything with the clinic’s server gone, across a killed tab', async () => {
  const { phone, patientId, origin } = await phoneWith();
  await stage.server.stop('SIGKILL');
  await phone.reload();
  await says(phone, 'Neck warm-up');
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  await says(phone, '3 of 4');
  expect(await phone.$eval('svg.figure g', (shapes) => shapes.innerHTML.length)).toBeGreaterThan(
    500,
  );
  // The tab is killed in the middle; another one is opened, still without a server.
  const context = phone.browserContext();
  await phone.close();
  const again = await context.newPage();
  await twiceAsFast(again);
  await again.setViewport(PHONE);
  await again.goto(`${origin}/today`);
  await says(again, 'Go on where you left off');
  await press(again, 'Go on where you left off');
  await press(again, 'Start');
  await says(again, 'Done. What you did is saved.');
  await press(again, 'Leave without telling');
  await says(again, 'Saved on this phone. It goes to your clinic when there is a signal.');
  expect(await repsOf(patientId)).toHaveLength(0);
  await stage.server.start();
  await again.reload();
  await untilTold(patientId, 6);
  expect((await repsOf(patientId)).map(({ rep, moved }) => [rep, moved])).toEqual([
    [1, 2],
    [2, 2],
    [3, 2],
    [4, 2],
    [1, 2],
    [2, 2],
  ]);
  await says(again, 'Everything you did is at harbour.');
});

it('shows the days to come without a server, and says when it does not know one', async () => {
  const { phone } = await phoneWith([
    { exerciseId: 'tuck-lying', dose: '10x10s every other day' },
    { exerciseId: 'chest-stretch', dose: '2x30s daily from day 4' },
  ]);
  await stage.server.stop('SIGKILL');
  const later = async (days: number) => {
    const page = await phone.browserContext().newPage();
    await page.setViewport(PHONE);
    await page.evaluateOnNewDocument((ahead) => {
      const real = Date.now.bind(Date);
      Date.now = () => real() + ahead * 86_400_000;
    }, days);
    await page.goto(`${stage.server.origin}/today`);
    return page;
  };
  const third = await later(3);
  await says(third, 'Hands-behind chest stretch');
  expect(await textOf(third)).not.toContain('Tuck lying down');
  const fourth = await later(4);
  await says(fourth, 'Tuck lying down');
  const tenth = await later(10);
  await says(tenth, 'This phone has no programme for');
});

it('advises by the rules without a server, pauses at once, and tells the clinic with the first signal', async () => {
  const { phone, patientId } = await phoneWith();
  await stage.server.stop('SIGKILL');
  await phone.reload();
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  await reportTrouble(phone, 'Ordinary muscle soreness', 2, 'as usual');
  await says(phone, 'You can go on, easier');
  await press(phone, 'Go on, easier');
  await reportTrouble(phone, 'Something with my sight', 1, 'new');
  await says(phone, 'Stop now. Get help');
  expect(await textOf(phone)).toContain('Call 000.');
  await stage.server.start();
  await phone.reload();
  await says(phone, 'Your programme is paused');
  await eventually(async () => {
    const told = await toldToday(stage.practitioner.clinicId, patientId);
    expect(told.filter(({ type }) => type === 'report')).toHaveLength(2);
  });
});

it('takes a word about the day, and it is at the clinic', async () => {
  const { phone, patientId } = await phoneWith();
  await press(phone, 'A short word about today');
  await phone.waitForSelector('input[name=worst]');
  await phone.$eval('input[name=worst][value="6"]', (input) => input.click());
  await press(phone, 'Save');
  await says(phone, 'Saved. Thank you.');
  await says(phone, 'Everything you did is at harbour.');
  await eventually(async () => {
    expect((await toldToday(stage.practitioner.clinicId, patientId)).at(-1)).toMatchObject({
      type: 'daily',
      worst: 6,
    });
  });
  // Nothing about a limb or a headache is asked of somebody who has neither.
  await press(phone, 'A short word about today');
  expect(await textOf(phone)).not.toMatch(/furthest place|headache/);
});

it('keeps settings, a pause and a calendar made on the phone', async () => {
  const { phone } = await phoneWith();
  await goTo(phone, `${stage.server.origin}/today/settings`);
  await phone.$eval('input[name=text]:not(:checked)', (input) => input.click());
  expect(await phone.evaluate(() => document.documentElement.dataset.text)).toBe('large');
  await press(phone, 'Save');
  await says(phone, 'Saved.');
  await press(phone, 'Make the calendar’s address');
  const address = await phone.waitForSelector('[data-testid=calendar-address]');
  const text = await address?.evaluate((element) => element.textContent);
  const calendar = await fetch(text ?? '');
  expect(calendar.headers.get('content-type')).toContain('text/calendar');
  expect(await calendar.text()).toContain('BEGIN:VEVENT');
  await goTo(phone, `${stage.server.origin}/today/pause`);
  await press(phone, 'Pause these days');
  await says(phone, 'You have paused it.');
});

it('fits a phone 320 wide, also with the largest text', async () => {
  const { phone } = await phoneWith();
  await phone.setViewport({ ...PHONE, width: 320, height: 640 });
  await phone.evaluate(() => localStorage.setItem('dl-text-size', 'larger'));
  /** What sticks out of the page; drawings are cut by their own frame. */
  const sticking = () =>
    phone.evaluate(() =>
      document.documentElement.scrollWidth <= 320
        ? []
        : [...document.querySelectorAll('body *:not(svg *)')]
            .filter((one) => one.getBoundingClientRect().right > 321)
            .map((one) => `${one.tagName} ${one.textContent?.slice(0, 40)}`),
    );
  for (const path of ['', '/progress', '/settings', '/pause']) {
    await goTo(phone, `${stage.server.origin}/today${path}`);
    await phone.waitForFunction(() => document.documentElement.dataset.text === 'larger');
    expect([path, await sticking()]).toEqual([path, []]);
  }
  await goTo(phone, `${stage.server.origin}/today`);
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  await says(phone, 'Neck warm-up');
  expect(await sticking()).toEqual([]);
  // Stopping is never scrolled away.
  const stop = await phone.$$eval('footer button', (buttons) =>
    buttons
      .filter((one) => /^(Stop|It hurts)/.test(one.textContent ?? ''))
      .map((one) => one.getBoundingClientRect())
      .map(({ top, bottom }) => top >= 0 && bottom <= innerHeight),
  );
  expect(stop).toEqual([true, true]);
});

it('keeps no page of the clinic on a device', async () => {
  const { phone } = await phoneWith();
  const names = await phone.evaluate(async () =>
    (await (await caches.open('dry-lantern-1')).keys()).map(({ url }) => new URL(url).pathname),
  );
  const own = names.filter((path) => !path.startsWith('/_next/static/')).sort();
  // The drawings are the catalogue's own; no other page is kept.
  expect(own).toEqual(['/figures/neck-warm-up/right', '/figures/sciatic-slider/right', '/today']);
});
