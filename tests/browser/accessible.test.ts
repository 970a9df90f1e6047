import { readFileSync } from 'node:fs';
import type { Browser, Page } from 'puppeteer-core';
import { closeDatabase, insertAlert, write } from '@/db';
import { DESK, PHONE, freshPage, launchBrowser, press, says, signInAs } from '../support/browser';
import { device, makeClinic, makePatient, member, prescribe, useDatabase } from '../support/clinic';
import { type TestServer, startTestServer } from '../support/server';

/** axe-core with the WCAG 2.2 AA rules finds nothing on any view, in light and in dark. */
let server: TestServer;
let empty: TestServer;
let browser: Browser;
let email: string;
let leadEmail: string;
let patientId: string;
let newPatientId: string;
let link: string;

const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

beforeAll(async () => {
  [server, empty, browser] = await Promise.all([
    startTestServer(),
    startTestServer(),
    launchBrowser(),
  ]);
  await useDatabase(server.data);
  const clinic = await makeClinic('harbour');
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
      createdAt: 1,
    }),
  ]);
  link = (await device(practitioner, patientId)).link;
}, 60_000);

afterAll(async () => {
  closeDatabase();
  await browser?.close();
  await server?.close();
  await empty?.close();
});

async function violations(page: Page): Promise<string[]> {
  // Through the debugger, so that the page's own policy stays as strict as it is.
  await page.evaluate(AXE);
  return page.evaluate(async () => {
    const { axe } = window as unknown as {
      axe: {
        run(options: unknown): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }>;
      };
    };
    const tags = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];
    const result = await axe.run({ runOnly: { type: 'tag', values: tags } });
    return result.violations.flatMap(({ id, nodes }) =>
      nodes.map((node) => `${id}: ${node.html.slice(0, 160)}`),
    );
  });
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

describe.each(['light', 'dark'] as const)('in %s', (scheme) => {
  async function open(viewport: typeof DESK | typeof PHONE) {
    const page = await freshPage(browser, viewport);
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: scheme }]);
    return page;
  }

  it('the clinic’s views', async () => {
    const page = await open(DESK);
    const found: Record<string, string[]> = {};
    const look = async (name: string) => {
      found[name] = await violations(page);
    };
    const go = (path: string, origin = server.origin) =>
      page.goto(`${origin}${path}`, { waitUntil: 'networkidle0' });
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
    await go(`/patients/${patientId}/plan`);
    await look('plan');
    await page.type('input[aria-label="Dose of Tuck lying down"]', '3x10 hold 5');
    await page.keyboard.press('/');
    await look('plan, with a mistake');
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
    await page.click('details summary');
    await look('follow');
    await go('/patients/not-a-patient/plan');
    await look('not found');
    expect(found).toEqual(Object.fromEntries(Object.keys(found).map((name) => [name, []])));
    expect(Object.keys(found).length).toBeGreaterThanOrEqual(15);
  }, 120_000);

  it('the patient’s views, with targets a finger can hit', async () => {
    const page = await open(PHONE);
    const found: Record<string, string[]> = {};
    const look = async (name: string) => {
      found[name] = [...(await violations(page)), ...(await smallTargets(page))];
    };
    await page.goto(`${server.origin}/today`, { waitUntil: 'networkidle0' });
    await look('no link');
    await page.goto(`${server.origin}/open#${'x'.repeat(43)}`, { waitUntil: 'networkidle0' });
    await says(page, 'no longer works');
    await look('ended link');
    await page.goto('about:blank');
    await page.goto(`${server.origin}/open#${link}`, { waitUntil: 'networkidle0' });
    await says(page, 'Everything you did');
    await look('today');
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
    await press(page, 'Something feels wrong');
    await look('stop and what to do');
    await press(page, 'Next');
    await look('check-in');
    await page.click('input[name=pain][value="5"]');
    await look('check-in, answered');
    // Not saved: the next theme wants the programme to go on.
    expect(found).toEqual(Object.fromEntries(Object.keys(found).map((name) => [name, []])));
    expect(Object.keys(found).length).toBeGreaterThanOrEqual(12);
    const { setPaused } = await import('@/server/save-programme');
    await setPaused(await member(email), patientId, false);
  }, 120_000);
});
