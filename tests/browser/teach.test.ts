import { randomUUID } from 'node:crypto';
import type { Page } from 'puppeteer-core';
import { SAID_PARTS, type TaughtLine, untaught } from '@/core/teach';
import { teachBacksOf, versionsOf } from '@/db';
import { signTeaching } from '@/server/visit/teaching';
import { DESK, PHONE, press, reloaded, says, textOf } from '../support/browser';
import { device, makePatient, prescribe } from '../support/clinic';
import { readPdf } from '../support/pdf';
import { browserStage } from '../support/browser-stage';
import { consent } from '../support/consent';

const stage = browserStage();

const FIVE = [
  { exerciseId: 'neck-warm-up', dose: '2x40s gap 10s 1/day daily until review' },
  { exerciseId: 'tuck-lying', dose: '10x10s gap 5s 1/day daily until review' },
  { exerciseId: 'wall-press', dose: '3x30s rpe 3-5 1/day daily until review' },
  { exerciseId: 'median-slider', dose: 'x10 move 4s gap 1s each side 2/day daily until review' },
  { exerciseId: 'chest-stretch', dose: '2x30s gap 15s 1/day every other day until review' },
];

async function consenting(name = 'Linnet Marlow'): Promise<string> {
  const { practitioner } = stage;
  const id = await makePatient(practitioner, name);
  await consent(practitioner, id, { sharing: true });
  return id;
}

/** Everything about the exercise on the page is said, shown, watched and asked. */
async function teachOne(page: Page, name: string, felt: string): Promise<void> {
  await says(page, name);
  // The one key: six things to say, to demonstrate, to watch.
  for (let i = 0; i < 8; i += 1) await page.keyboard.press('ArrowRight');
  await page.waitForFunction(
    () => document.querySelectorAll('input[type=checkbox]:checked').length >= 8,
  );
  await page.$eval(`[role=checkbox][aria-label^="front left ${felt}"]`, (part) =>
    part.dispatchEvent(new MouseEvent('click', { bubbles: true })),
  );
  for (const question of ['comfortable', 'breathing'])
    await page.$eval(`input[name=${question}]`, (input) => input.click());
  await page.$eval('#questions', (input) => (input as HTMLInputElement).click());
}

const goToPage = (page: Page, words: string) =>
  page.$$eval(
    'nav[aria-label=Exercises] button',
    (buttons, wanted) => buttons.find((one) => one.textContent?.includes(wanted))?.click(),
    words,
  );

it('teaches five exercises by one key, warns of the missing rest, and signs what was done (long)', async () => {
  const patientId = await consenting();
  await prescribe(stage.practitioner, patientId, FIVE);
  const page = await stage.open(`/patients/${patientId}/teach`);
  const felt = { 'Median nerve slider': 'forearm', 'Hands-behind chest stretch': 'chest' };
  for (const name of [
    'Neck warm-up',
    'Tuck lying down',
    'Wall press into a pad',
    'Median nerve slider',
    'Hands-behind chest stretch',
  ]) {
    await goToPage(page, name);
    await page.waitForFunction(
      (wanted) => document.querySelector('h2')?.textContent?.includes(wanted),
      {},
      name,
    );
    await teachOne(page, name, felt[name as keyof typeof felt] ?? 'neck');
  }
  // The wall press has no pause written between its holds: said on its page and before leaving.
  await goToPage(page, 'Wall press');
  await says(page, 'Not written in the dose: 2 s between repetitions (assumed)');
  await page.$eval('#fault-0', (input) => (input as HTMLInputElement).click());
  const reminder = await page.$('input[maxlength="200"][dir=auto]:not([aria-label])');
  await reminder?.type('Folded towel, not the ball');
  await goToPage(page, 'Before the patient leaves');
  await says(page, 'Wall press into a pad: not written in the dose: 2 s between repetitions');
  expect(await textOf(page)).toContain('Not said or checked (3)');

  // It is fixed on the Plan desk: the version changes, and what was ticked stays.
  await says(page, 'Before the patient leaves');
  await page.waitForFunction(() => document.body.innerText.includes('Kept, not signed.'));
  const fixed = FIVE.map((line) =>
    line.exerciseId === 'wall-press'
      ? { ...line, dose: '3x30s gap 60s rpe 3-5 1/day daily until review' }
      : line,
  );
  const before = (await versionsOf(stage.practitioner.clinicId, [patientId])).get(patientId);
  const lineages = before?.[0]?.lines.map(({ lineage }) => lineage) ?? [];
  await prescribe(
    stage.practitioner,
    patientId,
    fixed.map((line, index) => ({ ...line, lineage: lineages[index] ?? null })),
    { basedOn: 1 },
  );
  await press(page, 'Sign the teaching of version 1');
  await says(page, 'The programme is at version 2 now, and you taught version 1.');
  await reloaded(page);
  await goToPage(page, 'Before the patient leaves');
  await says(page, 'Not said or checked (2)');
  for (const id of ['dose-again', 'come-back'])
    await page.$eval(`#${id}`, (input) => (input as HTMLInputElement).click());
  await says(page, 'Nothing is open');
  await press(page, 'Sign the teaching of version 2');
  await says(page, 'Signed teachings');
  const [signed] = await teachBacksOf(stage.practitioner.clinicId, patientId);
  expect(signed).toMatchObject({ version: 2, authorId: stage.practitioner.id });
  const body = signed?.body;
  expect(body?.lines.every(({ said }) => said.length === SAID_PARTS.length)).toBe(true);
  expect(body?.lines[2]?.cue).toBe('Folded towel, not the ball');
  expect(page.problems).toEqual([]);

  // The patient's phone says the reminder.
  const here = await device(stage.practitioner, patientId);
  const answer = await fetch(`${stage.server.origin}/api/v1/patient/pack`, {
    headers: { cookie: `dl_patient=${here.token}` },
  });
  const { value } = (await answer.json()) as { value: { lines: { cues: string[] }[] } };
  expect(value.lines.some(({ cues }) => cues[0] === 'Folded towel, not the ball')).toBe(true);
});

it('counts aloud with the real rests while the figure moves (long)', async () => {
  const patientId = await consenting();
  await prescribe(stage.practitioner, patientId, [
    FIVE[1] ?? { exerciseId: 'tuck-lying', dose: '10x10s' },
  ]);
  const page = await stage.open(`/patients/${patientId}/teach`);
  const picture = () => page.$eval('svg.figure g', (shapes) => shapes.innerHTML);
  await page.waitForFunction(
    () => (document.querySelector('svg.figure g')?.innerHTML ?? '') !== '',
  );
  const atRest = await picture();
  await press(page, 'Count it');
  await page.waitForFunction(
    () => document.querySelector('section[aria-label^="Count"]')?.textContent?.includes('Hold'),
    { polling: 50 },
  );
  expect(await picture()).not.toBe(atRest);
  await press(page, 'From the start');
  await page.waitForFunction(
    (first) => document.querySelector('svg.figure g')?.innerHTML === first,
    {},
    atRest,
  );
  // Ten holds of ten seconds, nine pauses of five, getting in and out of each: as the desk reckons.
  expect(await textOf(page)).toMatch(/With all its pauses: 3:0\d/);
  expect(page.problems).toEqual([]);
});

it('counts aloud with its directions by name, and its sides in full (long)', async () => {
  const patientId = await consenting();
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'four-way-ball', dose: '1x2s in left/front gap 2s' },
    { exerciseId: 'side-neck-stretch', dose: '5s right' },
  ]);
  const page = await stage.open(`/patients/${patientId}/teach`);
  const said = (words: string) =>
    page.waitForFunction(
      (words) =>
        document
          .querySelector('section[aria-label^="Count"] [role=status]')
          ?.textContent?.includes(words),
      { polling: 50 },
      words,
    );
  await press(page, 'Count it');
  await said('Hold, to the left');
  await said('Next direction, forwards');
  await page.$$eval('nav[aria-label=Exercises] button', (all) => all[1]?.click());
  await press(page, 'Count it');
  await said('Hold, right');
  await page.close();
});

it('says that there is nothing to teach or print yet (long)', async () => {
  const patientId = await makePatient(stage.practitioner);
  const page = await stage.open(`/patients/${patientId}/teach`);
  await says(page, 'There is no programme to teach yet.');
  await page.goto(`${stage.server.origin}/patients/${patientId}/handout`);
  await says(page, 'so there is nothing to print');
});

const order = (page: Page, patientId: string, change: Record<string, unknown> = {}) =>
  page.evaluate(
    async (body) => {
      const response = await fetch('/api/v1/handouts', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify(body),
      });
      const bytes = new Uint8Array(await response.arrayBuffer());
      let text = '';
      for (const byte of bytes) text += String.fromCharCode(byte);
      return {
        status: response.status,
        type: response.headers.get('content-type'),
        base64: btoa(text),
      };
    },
    { patientId, format: 'pdf', paper: 'a4', large: false, link: null, ...change },
  );

it('makes a PDF of five exercises on two sides whose text is the programme’s (long)', async () => {
  const patientId = await consenting('Ōno Žofie Ωμέγα Жуков');
  await prescribe(stage.practitioner, patientId, FIVE);
  const page = await stage.open(`/patients/${patientId}/handout`);
  const { status, type, base64 } = await order(page, patientId);
  expect([status, type]).toEqual([200, 'application/pdf']);
  const pdf = readPdf(Buffer.from(base64, 'base64'));
  expect(pdf.pages.length).toBeLessThanOrEqual(2);
  const text = pdf.pages.join('\n').replace(/\s+/g, ' ');
  // Latin with marks, Greek and Cyrillic come out as letters.
  for (const letters of ['Ōno Žofie', 'Ωμέγα', 'Жуков']) expect(text).toContain(letters);
  expect(text).not.toContain('has no letters for');
  // What the print view says, the PDF says: the same words of the same programme.
  const shown = await page.$$eval('.handout .exercise', (parts) =>
    parts.map((part) => ({
      name: part.querySelector('h2')?.textContent ?? '',
      numbers: part.querySelector('.numbers')?.textContent ?? '',
      steps: [...part.querySelectorAll('li')].map((item) => item.textContent ?? ''),
    })),
  );
  expect(shown).toHaveLength(5);
  for (const { name, numbers, steps } of shown)
    for (const words of [name, numbers, ...steps])
      expect(text).toContain(words.replace(/\s+/g, ' ').trim());
  expect(text).toContain('10 times');
  expect(text).toContain('+000 555 01');
  expect(text).toContain('Call 000.');
  expect(text).toMatch(/page 1 of [12]/);
  expect(pdf.title).toContain('version 1');
  expect(page.problems).toEqual([]);
});

it('says which letters a PDF cannot print, takes US letter and large type, and any length of cue (long)', async () => {
  const { practitioner } = stage;
  const patientId = await consenting('Wrasse 東京');
  await prescribe(practitioner, patientId, FIVE);
  const [version] = (await versionsOf(practitioner.clinicId, [patientId])).get(patientId) ?? [];
  if (!version) throw new Error('no version');
  const long = 'Keep the towel flat under the band '.repeat(5).trim();
  await signTeaching(practitioner, {
    id: randomUUID(),
    patientId,
    programmeId: version.version.programmeId,
    version: 1,
    lines: version.lines.map(({ lineage }): TaughtLine => ({ ...untaught(lineage), cue: long })),
    closing: { doseSaidAgain: false, dayToComeBack: false },
  });
  const page = await stage.open(`/patients/${patientId}/handout`);
  const { base64 } = await order(page, patientId, { paper: 'letter', large: true });
  const pdf = readPdf(Buffer.from(base64, 'base64'));
  const text = pdf.pages.join('\n').replace(/\s+/g, ' ');
  expect(text).toContain('This file has no letters for some signs (U+6771, U+4EAC)');
  expect(text).toContain(long);
});

it('prints the same sheet on its own, and gives it as one file that needs nothing else (long)', async () => {
  const patientId = await consenting();
  await prescribe(stage.practitioner, patientId, FIVE);
  const page = await stage.open(`/patients/${patientId}/handout`);
  await page.emulateMediaType('print');
  const visible = await page.evaluate(() =>
    [...document.querySelectorAll('.file-header, nav, .no-print, footer')]
      .filter((part) => part.getBoundingClientRect().height > 0)
      .map((part) => part.className || part.tagName),
  );
  expect(visible).toEqual([]);
  const { pages } = readPdf(await page.pdf({ preferCSSPageSize: true }));
  expect(pages.length).toBeLessThanOrEqual(3);
  expect(pages.join(' ')).toContain('Stop and call your clinic if you have:');
  await page.emulateMediaType('screen');
  const { base64, type } = await order(page, patientId, { format: 'html' });
  expect(type).toContain('text/html');
  const html = Buffer.from(base64, 'base64').toString('utf8');
  expect(html).not.toMatch(/(src|href)="(?!data:)|@import|url\(/);
  const alone = await stage.open('/', DESK);
  await alone.setOfflineMode(true);
  await alone.setContent(html);
  expect(await textOf(alone)).toContain('The week: tick what you did');
  expect(await alone.$$eval('svg.figure path', (paths) => paths.length)).toBeGreaterThan(50);
});

it('signs a note that was edited, and shows it beside the draft (long)', async () => {
  const patientId = await consenting();
  const page = await stage.open(`/patients/${patientId}/note`, PHONE);
  const plan = (await page.$$('textarea')).at(-1);
  await plan?.type(' Seen with the harbour pilot.');
  await page.waitForFunction(() => document.body.innerText.includes('Kept, not signed.'));
  await reloaded(page);
  expect(
    await page.$$eval('textarea', (areas) => areas.map(({ value }) => value).join('\n')),
  ).toContain('Seen with the harbour pilot.');
  await press(page, 'Sign the note');
  await says(page, 'Signed notes');
  expect(page.problems).toEqual([]);
});
