import { rmSync } from 'node:fs';
import { eventsOfDay } from '@/db';
import { PHONE, goTo, press, says, textOf, twiceAsFast } from '../support/browser';
import { launchBrowser } from '../support/chromium';
import { device, makePatient, prescribe, today } from '../support/clinic';
import { LINES, phoneStage } from '../support/phone';
import { eventually, toldToday } from '../support/record';
import { temporaryFolder } from '../support/server';

const { stage, phoneWith, repsOf, untilTold } = phoneStage({ own: true });

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
    // What was done before the browser went is each once, and the rest is still to do.
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
  await phone.$$eval('.player-options label', (labels) =>
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
