import { clickAt, narrowTo, press, says, signInAs } from '../support/browser';
import { looking } from '../support/accessible';
import { WCAG, run } from '../support/axe';
import { PASSWORD, makePatient, prescribe } from '../support/clinic';
import { type TestServer, startTestServer } from '../support/server';
import { browserStage } from '../support/browser-stage';

/** axe-core with the WCAG 2.2 AA rules finds nothing on any view, in light and in dark. */
const stage = browserStage();
let empty: TestServer | null = null;
afterAll(() => empty?.close());

it('the clinic’s views that are opened most', async () => {
  const id = await makePatient(stage.practitioner, 'Linnet Marlow');
  await prescribe(stage.practitioner, id, [
    { exerciseId: 'median-slider', dose: 'x10 move 4s each side' },
  ]);
  const { page, look, go, clean } = await looking(stage, null);
  await go('/sign-in');
  await look('sign in');
  await signInAs(page, stage.server.origin, stage.emails.lead);
  await look('morning list');
  for (const desk of ['plan', 'follow']) {
    await go(`/patients/${id}/${desk}`);
    await look(desk);
  }
  clean();
}, 720_000);

it('the clinic’s own views (long)', async () => {
  empty = await startTestServer();
  const { page, found, look, go, clean } = await looking(stage, null);
  await go('/', empty.origin);
  await look('first run');
  await go('/reset');
  await look('set a password');
  await go('/sign-in');
  await look('sign in');
  await press(page, 'Sign in');
  await says(page, 'is not right');
  await look('sign in, refused');
  await signInAs(page, stage.server.origin, stage.emails.lead);
  await look('morning list');
  // The first Tab offers the way past the head of the page, and it leads to the page.
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.press('Tab');
  expect(await page.evaluate(() => document.activeElement?.textContent)).toBe('Skip to the page');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  expect(await page.evaluate(() => document.activeElement?.closest('main') !== null)).toBe(true);
  await go('/');
  await narrowTo(page, 'nobody-here');
  await says(page, 'Nobody’s name contains');
  await look('morning list, nobody found');
  await go('/patients/new');
  await look('new patient');
  await go('/clinic');
  await look('clinic');
  await clickAt(page, '::-p-xpath(//button[contains(., "Neck turn")])');
  await look('clinic, changing a detectable change');
  // Three hundred drawings take axe half a minute: `npm run long` looks into them as well.
  await go('/exercises/pictures');
  found.drawings = await run(page, WCAG, process.env.DARK_EVERYWHERE ? undefined : '.figure');
  await page.$$eval('details', (all) => all.forEach((one) => (one.open = true)));
  await look('clinic, what an assistant may');
  await go('/clinic/keeping');
  await look('keeping records');
  await go('/closed');
  await look('a closed file');
  await go('/account/second-factor');
  await page.type('input[name=password]', PASSWORD);
  await press(page, 'Begin');
  await says(page, 'The code it shows now');
  await look('second factor');
  await go('/clinic/audit');
  await look('audit');
  await go('/account');
  await look('account');
  await go('/exercises');
  await page.$$eval('details', (all) => all.forEach((one) => (one.open = true)));
  await look('exercises');
  await go('/exercises/programmes');
  await look('ready programmes');
  await clickAt(page, '[aria-label="Rehearse: First week"]');
  await says(page, 'After twelve weeks');
  await look('rehearsal of a programme');
  await go('/exercises/prescribe?ready=first-week');
  await page.type('main input[type=search]', 'a');
  await says(page, 'patient');
  await look('prescribe to');
  await go('/exercises/about/cloth-rotation');
  await page.$$eval('details', (all) => all.forEach((one) => (one.open = true)));
  await look('an exercise');
  await go('/exercises/new');
  await page.$$eval('details', (all) => all.forEach((one) => (one.open = true)));
  await look('new exercise');
  await go('/patients/not-a-patient/plan');
  await look('not found');
  clean();
  expect(Object.keys(found).length).toBeGreaterThanOrEqual(16);
}, 720_000);
