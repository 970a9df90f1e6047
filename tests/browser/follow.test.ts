import { shortDay } from '@/core/units';
import { DAY_KEY } from '@/core/history';
import { sentVersion } from '@/core/programme';
import { randomUUID } from 'node:crypto';
import { insertAlert, versionsOf, write } from '@/db';
import { setClock } from '@/server/clock';
import { takeIn } from '@/server/take-in';
import { violations } from '../support/axe';
import { clickAt, goTo, narrowTo, press, reloaded, says, textOf, typeAt } from '../support/browser';
import { device, instant, makePatient, prescribe, today } from '../support/clinic';
import { readPdf } from '../support/pdf';
import { eventually } from '../support/record';
import { browserStage } from '../support/browser-stage';

/** Follow, decide and review in a real browser. */
const stage = browserStage();
const DAY = 86_400_000;

const isOfTheDay = (type: string) => type === 'daily' || type === 'morning';

/** Three weeks of daily sessions, pain falling from 7 to 2. */
async function lived(name: string): Promise<string> {
  const { practitioner } = stage;
  const start = Date.now() - 21 * DAY;
  setClock(() => start);
  const patientId = await makePatient(practitioner, name);
  await prescribe(practitioner, patientId, [
    {
      exerciseId: 'tuck-lighten',
      dose: 'x2 hold 3s gap 3s daily',
      school: { id: 'lengthen', settings: { holds: [], tenRepMaximum: null, unit: 'kg' } },
    },
  ]);
  const here = await device(practitioner, patientId);
  const [row] = (await versionsOf(practitioner.clinicId, [patientId])).get(patientId) ?? [];
  if (!row) throw new Error('no version');
  const version = sentVersion(row);
  const rep = { round: 1, side: null, direction: 1, station: 1, set: 1, held: 3, moved: 0 };
  for (let day = 0; day < 21; day += 1) {
    const at = start + day * DAY + 1000;
    setClock(() => at);
    const sessionId = randomUUID();
    const bodies = [
      { type: 'started' },
      {
        type: 'line',
        lineage: version.lines[0]?.lineage,
        reps: [
          { ...rep, rep: 1 },
          { ...rep, rep: 2 },
        ],
        skipped: null,
      },
      { type: 'ended' },
      {
        type: 'check-in',
        pain: Math.round(5 - day / 5),
        effort: 3,
        word: day === 5 ? 'creaky' : '',
      },
      { type: 'morning', date: today(), soreness: 'none' },
      {
        type: 'daily',
        date: today(),
        worst: Math.round(7 - day / 4),
        where: [],
        headache: null,
        note: '',
      },
    ];
    await takeIn(here, {
      sentAt: at,
      events: bodies.map((body, index) => ({
        id: randomUUID(),
        sessionId: isOfTheDay(body.type) ? randomUUID() : sessionId,
        sessionKey: isOfTheDay(body.type) ? DAY_KEY : 'session-1',
        programmeId: version.programmeId,
        version: 1,
        deviceAt: at,
        offsetMs: index,
        body: body as never,
      })),
    });
  }
  setClock(null);
  return patientId;
}

it('reads all strips at one day, judges in a worker, and holds the same as a table (long)', async () => {
  const patientId = await lived('Linnet Marlow');
  const page = await stage.open(`/patients/${patientId}/follow`);
  await says(page, 'Worst pain: improving beyond noise');
  await says(page, 'How this is reckoned');
  await page.$eval('svg[aria-roledescription="strips"]', (svg) => svg.focus());
  await page.keyboard.press('Home');
  const first = await page.$eval('[data-testid=cursor]', (element) => element.textContent);
  expect(first?.startsWith(shortDay(today(-21)))).toBe(true);
  await page.keyboard.press('PageDown');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  const sixth = await page.$eval('[data-testid=cursor]', (element) => element.textContent);
  expect(sixth?.startsWith(shortDay(today(-16)))).toBe(true);
  expect(sixth).toContain('creaky');
  await clickAt(page, '::-p-xpath(//summary[contains(., "The same as a table")])');
  await page.waitForSelector('[aria-label="Every day as a table"] tbody tr');
  const rows = await page.$$eval(
    '[aria-label="Every day as a table"] tbody tr',
    (all) => all.length,
  );
  expect(rows).toBeGreaterThanOrEqual(21);
  // The table is scrolled, and no word of it is broken: each stands in one line.
  const broken = await page.$$eval('[aria-label="Every day as a table"] :is(th, td)', (cells) =>
    cells.flatMap((cell) => {
      const text = cell.firstChild;
      if (!(text instanceof Text) || !/^\p{L}+$/u.test(text.data)) return [];
      const range = document.createRange();
      range.selectNodeContents(text);
      return range.getClientRects().length > 1 ? [text.data] : [];
    }),
  );
  expect(broken).toEqual([]);
  // A strip that is not wanted goes from drawing and table alike.
  await clickAt(page, '::-p-xpath(//label[contains(., "Words")]/input)');
  expect(
    await page.$eval('[aria-label="Every day as a table"] thead', (head) => head.textContent),
  ).not.toContain('Words');
  expect(page.problems).toEqual([]);
});

it('accepts a proposal with one key and sends it as the next version', async () => {
  const patientId = await lived('Wrasse Pelorus');
  const page = await stage.open(`/patients/${patientId}/follow`);
  await says(page, 'good sessions in a row');
  await page.focus('button[aria-label="Accept: Tuck and lighten"]');
  await page.keyboard.press('Enter');
  await says(page, 'Accepted, waiting for version 2');
  await press(page, 'Write version 2');
  await says(page, 'Nothing to decide');
  await eventually(async () => {
    const rows = (await versionsOf(stage.practitioner.clinicId, [patientId])).get(patientId) ?? [];
    expect(rows.map(sentVersion).at(-1)?.lines[0]?.text).toBe('x2 hold 5s gap 3s daily');
  });
  await reloaded(page);
  await clickAt(page, '::-p-xpath(//summary[contains(., "Decided so far")])');
  await says(page, 'accepted by');
  expect(page.problems).toEqual([]);
});

it('declines only with a reason, and keeps what was typed (long)', async () => {
  const patientId = await lived('Teal Fenwick');
  const page = await stage.open(`/patients/${patientId}/follow`);
  await clickAt(page, 'button[aria-label="Decline: Tuck and lighten"]');
  await press(page, 'Decline it');
  await says(page, 'Write why it is declined');
  await page.type('input[name=reason]', 'wait for the review');
  await press(page, 'Decline it');
  await says(page, 'Nothing to decide');
  expect(page.problems).toEqual([]);
});

it('sorts the morning list, lets a row wait with a reason, and takes it back (long)', async () => {
  const patientId = await makePatient(stage.practitioner, 'Quill Aldersea');
  await write(() => [
    insertAlert({
      clinicId: stage.practitioner.clinicId,
      id: `stop ${patientId}`,
      patientId,
      kind: 'stopped for a symptom',
      createdAt: instant(Date.now()),
    }),
  ]);
  const page = await stage.open('/');
  await narrowTo(page, 'Quill');
  await says(page, 'Stopped: something felt wrong');
  await clickAt(page, 'button[aria-label="Let it wait: Quill Aldersea"]');
  await clickAt(page, '::-p-xpath(//button[@type="submit"][contains(., "Let it wait")])');
  await says(page, 'Write why it can wait.');
  await page.type('form input:not([type=search])', 'called, no answer');
  await clickAt(page, '::-p-xpath(//button[@type="submit"][contains(., "Let it wait")])');
  // A stop is first taken by somebody.
  await says(page, 'Say first that you have seen it');
  await page.keyboard.press('Escape');
  await press(page, 'I have seen it');
  await page.waitForFunction(
    () => !document.querySelector('main')?.textContent?.includes('Stopped: something felt wrong'),
  );
  await says(page, 'No programme yet.');
  await clickAt(page, 'button[aria-label="Let it wait: Quill Aldersea"]');
  await page.waitForSelector('form input:not([type=search])', { visible: true });
  await typeAt(page, '[role=dialog] input', 'called, no answer');
  await clickAt(page, '::-p-xpath(//button[@type="submit"][contains(., "Let it wait")])');
  await says(page, 'Put aside');
  await says(page, 'called, no answer');
  await press(page, 'Take back');
  await page.waitForSelector('button[aria-label="Done for today: Quill Aldersea"]');
  expect(page.problems).toEqual([]);
});

it('rehearses a school over four made-up patients (long)', async () => {
  const patientId = await lived('Dunlin Carrow');
  const page = await stage.open(`/patients/${patientId}/plan`);
  await press(page, 'Compare');
  await clickAt(page, 'button[aria-label="Rehearse Lengthen the hold"]');
  await says(page, 'Rehearsal: Lengthen the hold, twelve weeks');
  await says(page, 'patchy');
  expect(await textOf(page)).toMatch(/grows .+, eases off .+; week 12: Tuck/);
  expect(page.problems).toEqual([]);
});

it('prepares the review and signs a letter whose numbers are the record’s (long)', async () => {
  const patientId = await lived('Curlew Hythe');
  const page = await stage.open(`/patients/${patientId}/review`);
  await says(page, 'Done, and how it went');
  expect(await textOf(page)).toContain('Nothing was measured at first');
  await page.type('textarea', 'Well done on the ladders.');
  await press(page, 'Sign the letter');
  await says(page, 'Review: Curlew Hythe');
  const letter = await textOf(page);
  expect(letter).toMatch(/You did 21 of 2[12] sessions/);
  // In the patient's voice: no statistics.
  expect(letter).toContain('Your worst pain has come down from about');
  expect(letter).not.toMatch(/Trend|below 0\.|95 %|interval/);
  expect(letter).toContain('Well done on the ladders.');
  expect(letter).not.toMatch(/\d{4}-\d{2}-\d{2}/);
  // The same as one page of PDF, asked for as the button asks.
  const id = page.url().split('/').at(-1) ?? '';
  const bytes = await page.evaluate(
    async (order) => {
      const answer = await fetch('/api/v1/letters/file', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(order),
      });
      return [...new Uint8Array(await answer.arrayBuffer())];
    },
    { patientId, id, paper: 'letter' },
  );
  const { pages } = readPdf(Uint8Array.from(bytes));
  expect(pages).toHaveLength(1);
  expect(pages[0]).toContain('Well done on the ladders.');
  expect(pages[0]).toMatch(/You did 21 of 2[12] sessions/);
  // Days are said as people say them, on paper too.
  expect(pages[0]).not.toMatch(/\d{4}-\d{2}-\d{2}/);
  expect(page.problems).toEqual([]);
});

it('discharges with a keep-going programme (long)', async () => {
  const patientId = await lived('Plover Ness');
  const page = await stage.open(`/patients/${patientId}/review`);
  await clickAt(page, 'input[name=kind][value=discharge]');
  await press(page, 'Write the keep-going programme');
  await says(page, 'the keep-going programme.');
  // The page is drawn anew with the new version: a click meanwhile would miss the moving button.
  await page.waitForNetworkIdle();
  await page.$$eval('button[type=submit]', (all) =>
    all.find((one) => one.textContent.startsWith('Sign the letter'))?.click(),
  );
  await says(page, 'Discharge: Plover Ness');
  await goTo(page, `${stage.server.origin}/`);
  await narrowTo(page, 'Plover');
  await says(page, 'Discharged.');
  const rows = (await versionsOf(stage.practitioner.clinicId, [patientId])).get(patientId) ?? [];
  expect(rows.map(sentVersion).at(-1)?.lines[0]?.text).toBe('x2 hold 3s gap 3s every other day');
  expect(page.problems).toEqual([]);
});

it('writes down a day of a patient without a phone, and says so where it is counted (long)', async () => {
  const { practitioner } = stage;
  setClock(() => Date.now() - 3 * DAY);
  const id = await makePatient(practitioner, 'Nessa Without-Phone');
  await prescribe(practitioner, id, [{ exerciseId: 'tuck-lying', dose: '3x10 2/day daily' }]);
  setClock(null);
  const page = await stage.open(`/patients/${id}`);
  await press(page, 'Write down a day, told by call or on paper');
  await says(page, 'As the patient told it');
  await press(page, 'Day before');
  await says(page, 'Yesterday');
  await page.type('form[aria-label="What was told"] input[type=number]', '2');
  await page.type('input[name=pain]', '4');
  // How it was told is chosen, never guessed.
  await press(page, 'Write it down');
  await says(page, 'From a paper sheet, or by a call.');
  await page.select('select[name=how]', 'call');
  await press(page, 'Write it down');
  await says(page, '2 sessions of this day are in the record already, written down as told');
  expect(await violations(page, 'a day as it was told')).toEqual([]);
  // A second time there is no session left for it: the field is closed, and nothing changes.
  expect(
    await page.$eval('form[aria-label="What was told"] input', (field) => field.disabled),
  ).toBe(true);
  await goTo(page, `${stage.server.origin}/patients/${id}/follow`);
  await says(page, '1 of the days was written down by the clinic as told: no device counted them.');
  // Written down of the wrong day: taken back it counts for nothing, and the day is free again.
  await goTo(page, `${stage.server.origin}/patients/${id}/told`);
  await press(page, 'Day before');
  await press(page, 'Take back what was written down');
  await says(page, 'All that the clinic wrote down of this day will count for nothing');
  await press(page, 'Keep it');
  await press(page, 'Take back what was written down');
  await press(page, 'Take it back');
  await says(page, 'Taken back. The day can be written down anew.');
  await page.waitForFunction(
    () => document.querySelector('form[aria-label="What was told"] input:disabled') === null,
  );
  expect(page.problems).toEqual([]);
});
