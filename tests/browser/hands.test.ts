import type { Page } from 'puppeteer-core';
import { updateClinic, write } from '@/db';
import { handoutOf } from '@/server/visit/handout';
import { handoutFile } from '@/ui/handout/handout-file';
import { violations } from '../support/axe';
import { PHONE, awake, freshPage, goTo, press, says, textOf } from '../support/browser';
import { device, makePatient, prescribe } from '../support/clinic';
import { browserStage } from '../support/browser-stage';
import { patientOf } from '../support/stage';
import { SIZES, TEXTS, misfitsIn, playing } from '../support/player-fits';

/** What fingers, keys and Back do on the patient's phone. */
const stage = browserStage();

async function phoneOf(name: string) {
  const { practitioner } = stage;
  const id = await makePatient(practitioner, name);
  await prescribe(practitioner, id, [
    { exerciseId: 'tuck-lying', dose: '3x60s gap 30s daily until review' },
    { exerciseId: 'wall-press', dose: '3x30s rpe 3-5 daily until review' },
  ]);
  const { link } = await device(practitioner, id);
  const phone = await freshPage(stage.browser, PHONE);
  await goTo(phone, `${stage.server.origin}/open#${link}`);
  await says(phone, 'Begin');
  // A touch before it is awake is a step of its own on the way back (docs/decisions/0025).
  await awake(phone);
  return phone;
}

/** What the keyboard is at: never the page's body. */
const focused = (page: Page) =>
  page.evaluate(() => {
    const at = document.activeElement;
    return at === null || at === document.body ? 'nothing' : (at.textContent ?? '').trim();
  });
/** Waits until the keyboard is at something that says this. */
const isAt = (page: Page, words: string) =>
  page.waitForFunction(
    (wanted) => {
      const at = document.activeElement;
      return at !== document.body && (at?.textContent ?? '').includes(wanted);
    },
    { polling: 50 },
    words,
  );

/** Touches that would be less than 44 px wide or high, with what they are. */
const small = (page: Page) =>
  page.evaluate(() =>
    [
      ...document.querySelectorAll<HTMLElement>(
        'main button, main a[href], main label, main summary, main select',
      ),
    ]
      .filter((one) => one.checkVisibility())
      .map((one) => ({ box: one.getBoundingClientRect(), says: one.textContent?.trim() ?? '' }))
      .filter(({ box }) => box.width > 0 && (box.width < 44 || box.height < 44))
      .map(({ box, says: what }) => `${what} ${Math.round(box.width)}×${Math.round(box.height)}`),
  );

it('puts whom to call first when everything stops, and lets the word be left', async () => {
  const { clinicId } = stage.practitioner;
  await write(() => [
    updateClinic(clinicId, { emergencyNumber: '000', readsReports: 'Pia, at 8 and at 13' }),
  ]);
  const phone = await phoneOf('Sandpiper Quay');
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  await press(phone, 'It hurts, or something is wrong');
  await isAt(phone, 'What is it?');
  await press(phone, 'Numb or tingling');
  await isAt(phone, 'Numb or tingling');
  // It waits, looks so, and says for which answer.
  await says(phone, 'First say how strong it is.');
  await press(phone, 'Next');
  await says(phone, 'First say how strong it is.');
  await choose(phone, '6');
  await says(phone, 'First say if it is different from usual.');
  // What is small on the drawing stands in a list.
  await phone.locator('::-p-xpath(//summary[normalize-space(.)="Choose from a list"])').click();
  await phone.locator('::-p-xpath(//label[normalize-space(.)="front right toes"])').click();
  await says(phone, 'front right toes');
  expect(await small(phone)).toEqual([]);
  await phone.setViewport({ ...PHONE, width: 320, height: 568 });
  expect(await small(phone)).toEqual([]);
  await phone.setViewport(PHONE);
  await choose(phone, 'New');
  await press(phone, 'Next');
  await isAt(phone, 'Stop now, and call your clinic');
  expect(await violations(phone, 'stop and what to do')).toEqual([]);
  const said = await phone.$eval('main', (main) => main.innerText);
  const order = [
    'In an emergency',
    'Call 000',
    'Call 000.',
    'If it is no emergency',
    'Pia, at 8 and at 13',
    'What happens next',
  ];
  expect(order.map((words) => said.indexOf(words))).toEqual(
    [...order.map((words) => said.indexOf(words))].sort((a, b) => a - b),
  );
  expect(said).not.toMatch(/normal/i);
  expect(
    await phone.$$eval('main a[href^="tel:"]', (all) =>
      all.map((one) => Math.round(one.getBoundingClientRect().height) >= 56),
    ),
  ).toEqual([true, true]);
  if (process.env.SHOT) await phone.screenshot({ path: '/tmp/h1.png' });
  await press(phone, 'Leave it');
  await says(phone, 'paused');
  expect(await focused(phone)).not.toBe('nothing');
  expect(phone.problems).toEqual([]);
});

it('has the keyboard where the eye goes, from the first touch to the last word (long)', async () => {
  const phone = await phoneOf('Turnstone Quay');
  await press(phone, 'Begin');
  await isAt(phone, 'Before your first session');
  await press(phone, 'I understand');
  await isAt(phone, 'Tuck lying down');
  await press(phone, 'Start');
  await isAt(phone, 'Pause');
  // One key pauses and goes on.
  await phone.keyboard.press('Space');
  await isAt(phone, 'Go on');
  await phone.keyboard.press('Space');
  await isAt(phone, 'Pause');
  await press(phone, 'Skip');
  await isAt(phone, 'Leave this exercise out?');
  await press(phone, 'No time now');
  await isAt(phone, 'Wall press into a pad');
  await press(phone, 'Stop');
  await isAt(phone, 'Stopped');
  await press(phone, 'It is enough for now');
  await isAt(phone, 'What you did is saved.');
  await press(phone, 'Leave without telling');
  await says(phone, 'A short word about today');
  await phone.waitForFunction(() => document.activeElement?.tagName === 'H1');
  // The browser may still be putting the page back where it stood: the touch is the link's own.
  const word = await phone.waitForSelector(
    '::-p-xpath(//a[starts-with(normalize-space(.), "A short word about today")])',
  );
  await word?.evaluate((link) => (link as HTMLElement).click());
  await isAt(phone, 'A short word about today');
  await press(phone, 'Not now');
  await says(phone, 'Everything you did is at harbour.');
  await phone.waitForFunction(() => document.activeElement?.tagName === 'H1');
  expect(await phone.$eval('body', (body) => body.innerText)).not.toContain('Saved. Thank you.');
  expect(phone.problems).toEqual([]);
});

it('lets Back close what was opened, and loses nothing by it', async () => {
  const phone = await phoneOf('Dunlin Quay');
  const before = await phone.evaluate(() => history.length);
  await press(phone, 'A short word about today');
  await says(phone, 'About which day?');
  await phone.goBack();
  await says(phone, 'Begin');
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  await says(phone, 'Hold');
  await phone.goBack();
  await says(phone, 'Go on where you left off');
  expect(new URL(phone.url()).pathname).toBe('/today');
  // Its own buttons take the step away again: Back does not open it anew.
  await press(phone, 'A short word about today');
  await press(phone, 'Not now');
  await says(phone, 'A short word about today');
  expect(await phone.evaluate(() => history.length)).toBeLessThanOrEqual(before + 1);
  await press(phone, 'Settings');
  await says(phone, 'Your day');
  await phone.goBack();
  await says(phone, 'Go on where you left off');
  expect(phone.problems).toEqual([]);
});

it('fits the player into every screen, in every size of text, while it runs (long)', async () => {
  const phone = await playing(stage, 'Redshank Quay');
  // "npm run long" measures every kind of segment; here it runs, and is the tightest.
  expect(await misfitsIn(phone, TEXTS, SIZES)).toEqual([]);
  await says(phone, 'I am ready');
  expect(
    await misfitsIn(
      phone,
      ['larger'],
      [
        [568, 320],
        [320, 568],
      ],
    ),
  ).toEqual([]);
  expect(phone.problems).toEqual([]);
});

it('lets the handout that was sent as a file be read on a phone (long)', async () => {
  const { practitioner } = stage;
  const id = await makePatient(practitioner, 'Knot Quay');
  await prescribe(practitioner, id, [
    { exerciseId: 'side-neck-stretch', dose: '2x20s gap 5s both 2/day daily until review' },
    { exerciseId: 'six-way-hold', dose: '2x10s in 6 directions 30% every other day until review' },
  ]);
  const handout = await handoutOf(await patientOf(stage, id), 'https://clinic.example/open');
  if (!handout) throw new Error('no handout');
  const phone = await freshPage(stage.browser, PHONE);
  for (const width of [390, 320]) {
    await phone.setViewport({ ...PHONE, width });
    await phone.setContent(await handoutFile(handout, false));
    const { wide, words } = await phone.evaluate(() => ({
      wide: document.documentElement.scrollWidth,
      words: Math.min(
        ...[...document.querySelectorAll('.exercise ol')].map(
          (one) => one.getBoundingClientRect().width,
        ),
      ),
    }));
    expect(wide).toBeLessThanOrEqual(width);
    expect(words).toBeGreaterThan(width * 0.7);
  }
});

/** How far a page can be scrolled sideways, in CSS pixels; wide tables scroll in a box of their own. */
const sideways = (page: Page) =>
  page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);

it('scrolls no page sideways at 320 pixels, which is 400 % on a desk (long)', async () => {
  const { practitioner } = stage;
  const id = await makePatient(practitioner, 'Avocet Quay-Featherstonehaugh');
  await prescribe(practitioner, id, [
    { exerciseId: 'tuck-lying', dose: '10x10s gap 5s daily until review' },
  ]);
  const { link } = await device(practitioner, id);
  const phone = await freshPage(stage.browser, { ...PHONE, width: 320, height: 568 });
  await goTo(phone, `${stage.server.origin}/open#${link}`);
  await says(phone, 'Begin');
  await phone.evaluate(() => localStorage.setItem('dl-text-size', 'larger'));
  const wide: string[] = [];
  for (const path of ['', '/progress', '/settings', '/pause', '/together']) {
    await goTo(phone, `${stage.server.origin}/today${path}`);
    if ((await sideways(phone)) > 0) wide.push(`/today${path}`);
  }
  await goTo(phone, `${stage.server.origin}/today/health`);
  if ((await sideways(phone)) > 0) wide.push('/today/health');
  const desk = await stage.open('/', { width: 320, height: 256 });
  const file = [
    '?view=summary',
    '/screen',
    '/measure',
    '/plan',
    '/teach',
    '/follow',
    '/review',
    '/handout',
    '/record',
  ];
  for (const path of [
    '/',
    '/patients/new',
    '/exercises',
    '/account',
    '/clinic/outbox',
    ...file.map((step) => `/patients/${id}${step}`),
  ]) {
    await goTo(desk, `${stage.server.origin}${path}`);
    if ((await sideways(desk)) > 0)
      wide.push(`${path.replace(id, '…')} by ${await sideways(desk)}`);
  }
  expect(wide).toEqual([]);
});

async function choose(page: Page, words: string): Promise<void> {
  await page.locator(`::-p-xpath(//label[normalize-space(.)="${words}"])`).click();
}

it('says that a page is on its way where it takes long, and is silent where it does not (long)', async () => {
  const desk = await stage.open('/');
  await desk.setRequestInterception(true);
  let release: () => void = () => undefined;
  const held = new Promise<void>((resolve) => {
    release = resolve;
  });
  desk.on('request', (request) => {
    const isNext = new URL(request.url()).pathname === '/evidence';
    void (isNext ? held.then(() => request.continue()) : request.continue());
  });
  expect(await textOf(desk)).not.toContain('Loading …');
  await press(desk, 'Evidence');
  await says(desk, 'Loading …');
  release();
  await says(desk, 'that the clinic learns');
  expect(await textOf(desk)).not.toContain('Loading …');
  expect(desk.problems).toEqual([]);
  await desk.close();
});

it('covers nothing that can be touched with what is said for a moment (long)', async () => {
  const { practitioner } = stage;
  const id = await makePatient(practitioner, 'Dora Toast');
  await prescribe(practitioner, id, [
    { exerciseId: 'tuck-lying', dose: '10x10s daily' },
    { exerciseId: 'wall-press', dose: '3x30s daily' },
    { exerciseId: 'neck-warm-up', dose: '5x5s daily' },
  ]);
  const desk = await stage.open(`/patients/${id}/plan`);
  const dose = 'input[aria-label="Dose of Tuck lying down"]';
  // At the top, and where the desk ends: each has its controls somewhere else.
  for (const end of [false, true]) {
    await desk.waitForSelector(dose);
    await desk.focus(dose);
    await desk.evaluate((down) => scrollTo(0, down ? document.body.scrollHeight : 0), end);
    const covered = coveredOnce(desk);
    await desk.keyboard.down('Alt');
    await desk.keyboard.press('Delete');
    await desk.keyboard.up('Alt');
    expect(await covered).toEqual([]);
    await desk.waitForFunction(() => !document.querySelector('[data-sonner-toast]'));
  }
  expect(desk.problems).toEqual([]);
  await desk.close();
});

/**
 * What can be touched and lies under what is said for a moment, by its name, once it is said and stands
 * still; then takes back what was done. All within the page, which says it for seconds only.
 */
function coveredOnce(page: Page): Promise<string[]> {
  return page.evaluate(async () => {
    const said = () => document.querySelector('[data-sonner-toast][data-mounted=true]');
    while (!said()) await new Promise((resolve) => requestAnimationFrame(resolve));
    await Promise.all((said()?.getAnimations() ?? []).map(({ finished }) => finished));
    const room = said()?.getBoundingClientRect() ?? new DOMRect();
    const under = [
      ...document.querySelectorAll('a[href], button, input, select, textarea, summary'),
    ]
      .filter((one) => one.closest('[data-sonner-toaster]') === null)
      .filter((one) => {
        const { left, right, top, bottom, width } = one.getBoundingClientRect();
        const beside = left >= room.right || right <= room.left;
        return width > 0 && !beside && top < room.bottom && room.top < bottom;
      })
      .map((one) => one.textContent || one.getAttribute('aria-label') || one.tagName);
    const undo = said()?.querySelector('button');
    undo?.click();
    return room.width > 0 && undo ? under : ['nothing is said'];
  });
}
