import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { closeDatabase, insertAlert, patientById, photosOf, write } from '@/db';
import { signLetter } from '@/server/follow/review';
import { referralsOf } from '@/server/visit/referral';
import {
  DESK,
  PHONE,
  freshPage,
  goTo,
  launchBrowser,
  press,
  says,
  signInAs,
} from '../support/browser';
import {
  device,
  instant,
  makeClinic,
  makePatient,
  member,
  ownDomain,
  prescribe,
  today,
  useDatabase,
} from '../support/clinic';
import { type TestServer, sharedServer, startTestServer } from '../support/server';

/** axe-core with the WCAG 2.2 AA rules finds nothing on any view, in light and in dark. */
let server: TestServer;
let empty: TestServer;
let browser: Browser;
let email: string;
let leadEmail: string;
let patientId: string;
let newPatientId: string;
let link: string;
let blockedId: string;
let letterId: string;
let outcomeLetterId: string;
let photoIds: readonly string[];

const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

beforeAll(async () => {
  server = sharedServer();
  [empty, browser] = await Promise.all([startTestServer(), launchBrowser()]);
  await useDatabase(server.data);
  const clinic = await makeClinic('harbour', ownDomain());
  email = clinic.emails.practitioner;
  leadEmail = clinic.emails.lead;
  const practitioner = await member(email);
  patientId = await makePatient(practitioner, 'Linnet Marlow');
  newPatientId = await makePatient(practitioner, 'New Here');
  await prescribe(practitioner, patientId, [
    { exerciseId: 'tuck-lying', dose: '10-12x10s' },
    { exerciseId: 'median-slider', dose: 'x10 move 4s each side' },
  ]);
  await write(() => [
    insertAlert({
      clinicId: clinic.id,
      id: 'a',
      patientId,
      kind: 'stopped for a symptom',
      createdAt: instant(1),
    }),
  ]);
  link = (await device(practitioner, patientId)).link;
  ({ blockedId, letterId, photoIds } = await makeVisit(practitioner));
  outcomeLetterId = randomUUID();
  await signLetter(practitioner, {
    id: outcomeLetterId,
    patientId: blockedId,
    kind: 'review',
    words: 'Well done.',
    forReferrer: false,
  });
}, 900_000);

afterAll(async () => {
  closeDatabase();
  await browser?.close();
  await server?.close();
  await empty?.close();
});

/** A patient whose screening blocks, with a letter, measures and two marked photos. */
async function makeVisit(by: Awaited<ReturnType<typeof member>>) {
  const id = await makePatient(by, 'Blocked Here');
  const { carryOut } = await import('../../scripts/demo/visit');
  const { VISITS } = await import('../../scripts/demo/visits');
  const nobody = () => Promise.reject(new Error('no device'));
  for (const visit of [...(VISITS['Ansel Corriwick'] ?? []), ...(VISITS['Corin Aldwick'] ?? [])])
    await carryOut(by, id, 'Neck', visit, today(), nobody);
  const patient = await patientById(by.clinicId, id);
  if (!patient) throw new Error('no patient');
  const [letter] = await referralsOf(patient);
  const photos = await photosOf(by.clinicId, id);
  return {
    blockedId: id,
    letterId: letter?.referral.id ?? '',
    photoIds: photos.map((photo) => photo.id),
  };
}

const WCAG = {
  type: 'tag',
  values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'],
} as const;
/** The only rules that a theme can change. */
const COLOURS = { type: 'rule', values: ['color-contrast', 'link-in-text-block'] } as const;

/** What axe finds in light, and what its rules of colour find in dark. */
async function violations(page: Page): Promise<string[]> {
  const scheme = (value: 'light' | 'dark') =>
    page.emulateMediaFeatures([
      { name: 'prefers-color-scheme', value },
      { name: 'prefers-reduced-motion', value: 'reduce' },
    ]);
  await scheme('light');
  const light = await run(page, WCAG);
  await scheme('dark');
  const dark = await run(page, COLOURS);
  await scheme('light');
  return [...light, ...dark.map((found) => `in dark, ${found}`)];
}

async function run(page: Page, only: typeof WCAG | typeof COLOURS): Promise<string[]> {
  // Through the debugger, so that the page's own policy stays as strict as it is.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  return page.evaluate(async (runOnly) => {
    const { axe } = window as unknown as {
      axe: {
        run(options: unknown): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
      };
    };
    const result = await axe.run({ runOnly });
    return result.violations.flatMap(({ id, nodes }) =>
      nodes.map((node) => `${id}: ${node.html.slice(0, 160)}`),
    );
  }, only);
}

/** Small targets on the patient's screens: at least 44 px high, words within a sentence aside. */
function smallTargets(page: Page): Promise<string[]> {
  return page.evaluate(() =>
    [...document.querySelectorAll('button, summary, a, label')]
      .filter(
        (element) => !element.closest('.sr-only') && element.getBoundingClientRect().height > 0,
      )
      .filter(
        (element) =>
          element.getBoundingClientRect().height < 44 &&
          !element.querySelector('input:not([type=radio])'),
      )
      .map((element) => element.textContent ?? ''),
  );
}

it('the clinic’s views', async () => {
  const page = await freshPage(browser, DESK);
  const found: Record<string, string[]> = {};
  const look = async (name: string) => {
    found[name] = await violations(page);
  };
  const go = (path: string, origin = server.origin) => goTo(page, `${origin}${path}`);
  await go('/', empty.origin);
  await look('first run');
  await go('/sign-in');
  await look('sign in');
  await press(page, 'Sign in');
  await says(page, 'is not right');
  await look('sign in, refused');
  await signInAs(page, server.origin, leadEmail);
  await look('morning list');
  await go('/?name=nobody-here');
  await look('morning list, nobody found');
  await go('/patients/new');
  await look('new patient');
  await go('/clinic');
  await look('clinic');
  await page.click('::-p-xpath(//button[contains(., "Neck turn")])');
  await look('clinic, changing a detectable change');
  await go(`/patients/${newPatientId}/screen`);
  await look('screen, empty');
  await page.click('input[name=neck-injury][value=yes]');
  await page.click('input[name=neck-injury-cleared][value=no]');
  await look('screen, the guided rule');
  await go(`/patients/${blockedId}/screen`);
  await page.$$eval('details', (all) => all.forEach((one) => (one.open = true)));
  await look('screen, blocked');
  await go(`/patients/${blockedId}/letter/${letterId}`);
  await look('letter');
  await go(`/patients/${newPatientId}/measure`);
  await page.keyboard.press('m');
  await says(page, 'Push forward');
  await page.$$eval('details', (all) => all.forEach((one) => (one.open = true)));
  await page.click('::-p-xpath(//button[contains(., "Neck bend forward from")])');
  await look('measure, everything open');
  await go(`/patients/${blockedId}/measure`);
  await look('measure, with findings');
  await go(`/patients/${blockedId}/measure/photos`);
  await look('photos');
  await go(`/patients/${blockedId}/measure/photos/${photoIds[0]}`);
  await look('photo');
  await go(`/patients/${blockedId}/measure/photos/${photoIds[0]}/mark`);
  await look('marking');
  await go(
    `/patients/${blockedId}/measure/photos/compare?earlier=${photoIds[0]}&later=${photoIds[1]}`,
  );
  await look('comparison');
  await go(`/patients/${patientId}/plan`);
  await look('plan');
  await page.type('input[aria-label="Dose of Tuck lying down"]', '3x10 hold 5');
  await page.keyboard.press('/');
  await look('plan, with a mistake');
  await go(`/patients/${patientId}/plan`);
  // The other line is still as it was written: the first may hold the mistake typed above.
  await page.click('[aria-label^="Compare schools for Median"]');
  await look('plan, comparing schools');
  await page.click('button[aria-label^="Rehearse "]');
  await says(page, 'patchy');
  await look('plan, rehearsing');
  await page.keyboard.press('Escape');
  for (const dialog of ['Templates', 'Ask: home and day', 'Keys']) {
    await press(page, dialog);
    await look(`plan, ${dialog}`);
    await page.keyboard.press('Escape');
  }
  await go(`/patients/${blockedId}/plan`);
  await look('plan, blocked, with findings and suggestions');
  await go(`/patients/${patientId}/stairs`);
  await page.$$eval('details', (all) => all.forEach((one) => (one.open = true)));
  await look('stairs');
  await go(`/patients/${patientId}/teach`);
  await look('teach');
  await page.$$eval('nav[aria-label=Exercises] button', (all) => all.at(-1)?.click());
  await look('teach, before the patient leaves');
  await go(`/patients/${newPatientId}/teach`);
  await look('teach, nothing yet');
  await go(`/patients/${patientId}/note`);
  await look('visit note');
  await go(`/patients/${patientId}/handout`);
  await look('handout');
  // Three hundred drawings take axe half a minute; their colours are those of every other view.
  await go('/exercises/pictures');
  found.drawings = await run(page, WCAG);
  await go('/exercises');
  await page.$$eval('details', (all) => all.forEach((one) => (one.open = true)));
  await look('exercises');
  await go('/exercises/new');
  await page.$$eval('details', (all) => all.forEach((one) => (one.open = true)));
  await look('new exercise');
  await go(`/patients/${patientId}/plan`);
  await page.focus('input[placeholder^="Add an exercise"]');
  await page.keyboard.type('neck');
  await look('plan, searching');
  await page.keyboard.press('Escape');
  await press(page, 'Patient’s link');
  await look('patient’s link');
  await go(`/patients/${newPatientId}/plan`);
  await look('plan, empty');
  await go(`/patients/${newPatientId}/follow`);
  await look('follow, empty');
  await go(`/patients/${patientId}/follow`);
  await press(page, 'Sign out');
  await page.waitForFunction(() => location.pathname === '/sign-in');
  await signInAs(page, server.origin, email);
  await go(`/patients/${patientId}/follow`);
  await page.$$eval('details', (all) => all.forEach((one) => (one.open = true)));
  await look('follow');
  await go(`/patients/${blockedId}/review`);
  await page.click('input[name=kind][value=discharge]');
  await look('review');
  await go(`/patients/${blockedId}/review/${outcomeLetterId}`);
  await look('review letter');
  await go('/patients/not-a-patient/plan');
  await look('not found');
  expect(found).toEqual(Object.fromEntries(Object.keys(found).map((name) => [name, []])));
  expect(Object.keys(found).length).toBeGreaterThanOrEqual(25);
}, 720_000);

it('the patient’s views, with targets a finger can hit', async () => {
  const page = await freshPage(browser, PHONE);
  const found: Record<string, string[]> = {};
  const look = async (name: string) => {
    found[name] = [...(await violations(page)), ...(await smallTargets(page))];
  };
  await goTo(page, `${server.origin}/today`);
  await look('no link');
  await goTo(page, `${server.origin}/open#${'x'.repeat(43)}`);
  await says(page, 'no longer works');
  await look('ended link');
  await page.goto('about:blank');
  await goTo(page, `${server.origin}/open#${link}`);
  await says(page, 'Everything you did');
  await look('today');
  await press(page, 'Answer the health questions');
  await says(page, 'Before your visit');
  await look('health questions');
  await goTo(page, `${server.origin}/today`);
  await says(page, 'Everything you did');
  await press(page, 'Begin');
  await says(page, 'I understand');
  await look('before the first session');
  await press(page, 'I understand');
  await says(page, 'Start');
  await look('player, ready');
  await press(page, 'Start');
  await says(page, 'Hold');
  await look('player');
  await press(page, 'Pause');
  await look('player, paused');
  await press(page, 'Go on');
  await press(page, 'Skip');
  await look('player, skipping');
  await press(page, 'No, go on');
  await press(page, 'Stop');
  await look('player, stopping');
  await press(page, 'It hurts, or something is wrong');
  await look('hurting, what');
  await press(page, 'Numb or tingling');
  await look('hurting, how much and where');
  await page.click('input[name=severity][value="6"]');
  await page.$$eval('input[name=compared]', (inputs) => inputs[1]?.click());
  await press(page, 'Next');
  await look('stop and what to do');
  await press(page, 'Next');
  await look('check-in');
  await page.click('input[name=pain][value="5"]');
  await look('check-in, answered');
  for (const path of ['progress', 'settings', 'pause']) {
    await goTo(page, `${server.origin}/today/${path}`);
    await look(path);
    expect([path, await smallTargets(page)]).toEqual([path, []]);
  }
  expect(found).toEqual(Object.fromEntries(Object.keys(found).map((name) => [name, []])));
  expect(Object.keys(found).length).toBeGreaterThanOrEqual(12);
}, 480_000);
