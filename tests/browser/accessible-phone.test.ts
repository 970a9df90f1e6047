import { PHONE, clickAt, freshPage, goTo, press, says } from '../support/browser';
import { smallTargets, violations } from '../support/axe';
import { changeSafety } from '@/server/erase';
import { device, makePatient, prescribe } from '../support/clinic';
import { browserStage } from '../support/browser-stage';

/** axe-core with the WCAG 2.2 AA rules finds nothing on the patient's screens. */
const stage = browserStage();

/** The link of somebody with a programme of their own: who stopped goes on another day only. */
async function somebody(): Promise<string> {
  const patientId = await makePatient(stage.practitioner, 'Linnet Marlow');
  await prescribe(stage.practitioner, patientId, [
    // Words enough to fill a small phone: the drawing gives way, nothing lies over anything.
    {
      exerciseId: 'side-neck-stretch',
      dose: '10-12x10s at 3 barriers gap 5s right rpe 3 2/day daily until review',
    },
    { exerciseId: 'median-slider', dose: 'x10 move 4s each side' },
  ]);
  return (await device(stage.practitioner, patientId)).link;
}

/** The link of somebody who is asked the health questions: screened people are not. */
const unscreened = async () =>
  (await device(stage.practitioner, await makePatient(stage.practitioner, 'Tarn Ottery'))).link;

/** Pixels by which the drawing lies over what stands below it. */
const overlap = (page: Awaited<ReturnType<typeof freshPage>>, below: string) =>
  page.evaluate((selector) => {
    const drawing = document.querySelector('section svg.figure')?.getBoundingClientRect();
    const words = document.querySelector(selector)?.getBoundingClientRect();
    return drawing && words ? Math.max(0, Math.round(drawing.bottom - words.top)) : -1;
  }, below);

/** Looks at a phone's screens one after another; at the end nothing may have been found on any. */
async function watching() {
  const page = await freshPage(stage.browser, PHONE);
  const found: Record<string, string[]> = {};
  const look = async (name: string) => {
    found[name] = [...(await violations(page, name)), ...(await smallTargets(page))];
  };
  const clean = (screens: number) => {
    expect(found).toEqual(Object.fromEntries(Object.keys(found).map((name) => [name, []])));
    expect(Object.keys(found).length).toBe(screens);
  };
  return { page, look, clean };
}

type Watching = Awaited<ReturnType<typeof watching>>;

/** From the day to the check-in after a stop. @param all also at the screens on the way that are much like others */
async function lookAtSession({ page, look }: Watching, all: boolean): Promise<void> {
  await says(page, 'Everything you did');
  await look('today');
  await press(page, 'Begin');
  await says(page, 'I understand');
  await look('before the first session');
  await press(page, 'I understand');
  await says(page, 'Start');
  await look('player, ready');
  expect(await overlap(page, 'section ol')).toBe(0);
  await press(page, 'Start');
  await says(page, 'Hold');
  await look('player');
  expect(await overlap(page, '[data-testid=now]')).toBe(0);
  if (all) {
    await press(page, 'Pause');
    await look('player, paused');
    await press(page, 'Go on');
    await press(page, 'Skip');
    await look('player, skipping');
    await press(page, 'No, go on');
  }
  await press(page, 'Stop');
  if (all) await look('player, stopping');
  await press(page, 'It hurts, or something is wrong');
  if (all) await look('hurting, what');
  await press(page, 'Numb or tingling');
  await look('hurting, how much and where');
  await clickAt(page, 'input[name=severity][value="6"]');
  await page.$$eval('input[name=compared]', (inputs) => inputs[1]?.click());
  await press(page, 'Next');
  await look('stop and what to do');
  await press(page, 'Say how it was');
  await look('check-in');
}

it('a session’s screens, with targets a finger can hit', async () => {
  const watched = await watching();
  await goTo(watched.page, `${stage.server.origin}/open#${await somebody()}`);
  await lookAtSession(watched, false);
  watched.clean(7);
}, 480_000);

it('the patient’s views, with targets a finger can hit (long)', async () => {
  const watched = await watching();
  const { page, look, clean } = watched;
  await goTo(page, `${stage.server.origin}/today`);
  await look('no link');
  await goTo(page, `${stage.server.origin}/open#${'x'.repeat(43)}`);
  await says(page, 'no longer works');
  await look('ended link');
  await page.goto('about:blank');
  await goTo(page, `${stage.server.origin}/open#${await unscreened()}`);
  await press(page, 'Answer the health questions');
  await says(page, 'Before your visit');
  await look('health questions');
  const rules = { keepYears: null, linkDays: 90, deviceDays: 180, factorRequired: false };
  await changeSafety(stage.lead, { ...rules, privacyText: 'We keep what you tell us.' });
  await page.goto('about:blank');
  await goTo(page, `${stage.server.origin}/open#${await somebody()}`);
  await says(page, 'I have read this');
  await look('the clinic’s notice');
  await changeSafety(stage.lead, { ...rules, privacyText: '' });
  await goTo(page, `${stage.server.origin}/today`);
  await lookAtSession(watched, true);
  await clickAt(page, 'input[name=pain][value="5"]');
  await look('check-in, answered');
  await goTo(page, `${stage.server.origin}/tell`);
  await look('asked to tell');
  for (const path of ['together', 'progress', 'settings', 'pause']) {
    await goTo(page, `${stage.server.origin}/today/${path}`);
    await look(path);
    expect([path, await smallTargets(page)]).toEqual([path, []]);
  }
  clean(21);
}, 480_000);
