import type { ElementHandle } from 'puppeteer-core';
import { randomUUID } from 'node:crypto';
import { rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { saveDetails } from '@/server/details';
import { stopToken } from '@/server/mail/stop-link';
import { saveMail } from '@/server/mail/settings';
import { NO_DETAILS } from '@/core/records';
import { mailServerOf } from '@/db';
import { signLetter } from '@/server/follow/letter';
import { saveEntry } from '@/server/visit/entries';
import { saveScreening } from '@/server/visit/screening';
import { screening } from '../support/stage';
import { addDays, dateInWords } from '@/core/units';
import { violations } from '../support/axe';
import {
  DESK,
  PHONE,
  awake,
  beMember,
  clickAt,
  freshPage,
  goTo,
  narrowTo,
  press,
  reloaded,
  says,
  textOf,
  typeInto,
} from '../support/browser';
import { device, makePatient, prescribe, today } from '../support/clinic';
import { browserStage } from '../support/browser-stage';

/** People, their episodes and visits in a real browser. */
const stage = browserStage();

it('finds a patient from anywhere by telephone number, and nothing of it stands in the address (long)', async () => {
  const id = await makePatient(stage.practitioner, 'Sandrine Quay');
  await saveDetails(stage.practitioner, {
    patientId: id,
    basedOn: 0,
    details: { ...NO_DETAILS, phones: [{ number: '+000 777 3141', what: 'boathouse' }] },
  });
  const page = await stage.open('/exercises');
  await page.type('[role=combobox]', '777 3141');
  await page.waitForSelector('[role=option]');
  expect(
    await page.$$eval('[role=option]', (all) => all.map(({ textContent }) => textContent)),
  ).toEqual([expect.stringContaining('Sandrine Quay')]);
  expect(page.url()).not.toContain('777');
  await page.keyboard.press('Enter');
  await page.waitForFunction((wanted) => window.location.pathname.includes(wanted), {}, id);
  await says(page, 'boathouse');
  const call = await page.$eval('a[href^="tel:"]', (link) => link.getAttribute('href'));
  expect(call).toBe('tel:+0007773141');
  expect(page.problems).toEqual([]);
});

it('shows the names it finds over the file that is open, to the last', async () => {
  const ids: string[] = [];
  for (const name of ['Alba', 'Bero', 'Cilla', 'Dara', 'Enno'])
    ids.push(await makePatient(stage.practitioner, `${name} Overbeck`));
  const page = await stage.open(`/patients/${ids[0]}?view=summary`);
  for (const view of [DESK, PHONE]) {
    await page.setViewport(view);
    await page.type('[role=combobox]', 'Overbeck');
    await page.waitForFunction(() => document.querySelectorAll('[role=option]').length === 5);
    const hidden = await page.$$eval('[role=option]', (all) =>
      all.flatMap((one) => {
        const { left, bottom } = one.getBoundingClientRect();
        const there = document.elementFromPoint(left + 12, bottom - 4);
        return one.contains(there) ? [] : [`${one.textContent} under ${there?.className}`];
      }),
    );
    expect(hidden).toEqual([]);
    await page.$eval('[role=combobox]', (box) => (box as HTMLInputElement).select());
    await page.keyboard.press('Backspace');
  }
  expect(page.problems).toEqual([]);
});

it('narrows the list by a name that stands in no address, until it is taken back (long)', async () => {
  for (const name of ['Dunlin Sarro', 'Dunlin Teague', 'Whimbrel Oake'])
    await makePatient(stage.practitioner, name);
  const page = await stage.open('/');
  await narrowTo(page, 'Dunlin');
  await says(page, 'Dunlin Teague');
  expect(await textOf(page)).not.toContain('Whimbrel Oake');
  expect(page.url()).not.toContain('Dunlin');
  // Another name behind the same address.
  await narrowTo(page, 'Whimbrel');
  await says(page, 'Whimbrel Oake');
  await page.waitForFunction(() => !document.body.innerText.includes('Dunlin Sarro'));
  await reloaded(page);
  expect(await textOf(page)).toContain('Whimbrel Oake');
  expect(await page.$eval('main [role=search] input', ({ value }) => value)).toBe('Whimbrel');
  // The list by itself is whole, whatever it was narrowed to.
  await goTo(page, `${stage.server.origin}/`);
  await says(page, 'Dunlin Sarro');
  await narrowTo(page, 'no such name');
  await says(page, 'Nobody’s name contains “no such name”.');
  await page.$eval('main [role=search] input', (input) => (input.value = ''));
  await press(page, 'Find');
  await page.waitForFunction(() => location.search === '');
  await says(page, 'Dunlin Sarro');
  const kept = await page.browserContext().cookies();
  expect(kept.filter(({ name }) => name.includes('narrow'))).toEqual([]);
  expect(page.problems).toEqual([]);
}, 300_000);

it('opens a file with its summary: a call is kept, and the next visit reaches phone and list (long)', async () => {
  const { practitioner } = stage;
  const id = await makePatient(practitioner, 'Marram Holt');
  await prescribe(practitioner, id, [
    { exerciseId: 'tuck-lighten', dose: 'x2 hold 3s gap 3s daily', school: null },
  ] as never);
  const here = await device(practitioner, id);
  const page = await stage.open(`/patients/${id}`);
  await says(page, 'How it stands');
  await says(page, 'Nothing was told of pain yet.');
  await typeInto(page, 'What was agreed', 'Half the holds until Friday');
  await press(page, 'Write it down');
  await says(page, 'Half the holds until Friday');
  const next = addDays(today(), 9);
  await page.$$eval('summary', (all) =>
    all.find(({ textContent }) => textContent === 'Write it down')?.click(),
  );
  await page.$eval(
    'input[name=date]',
    (input, value) => {
      input.value = value;
    },
    next,
  );
  await page.$eval('input[name=time]', (input) => (input.value = '10:30'));
  await page.$eval('input[name=date]', (input) => input.form?.requestSubmit());
  await says(page, 'at 10:30, in the room');
  await page.waitForSelector('nav[aria-label=Visit]');
  expect(await violations(page, 'as it stands')).toEqual([]);
  await goTo(page, `${stage.server.origin}/`);
  await narrowTo(page, 'Marram');
  await says(page, '10:30');
  const phone = await freshPage(stage.browser, PHONE);
  await goTo(phone, `${stage.server.origin}/open#${here.link}`);
  await says(phone, `Your next visit: ${dateInWords(next, 'en')}, 10:30.`);
  expect([...page.problems, ...phone.problems]).toEqual([]);
});

it('begins another episode once the first is closed, and keeps the first to read (long)', async () => {
  const { practitioner } = stage;
  const id = await makePatient(practitioner, 'Tern Rockley');
  await saveEntry(practitioner, {
    id: randomUUID(),
    patientId: id,
    kind: 'goal',
    supersedes: null,
    on: today(),
    body: { activity: 'Haul the nets', by: null, reachedOn: null },
  });
  await signLetter(practitioner, {
    id: randomUUID(),
    patientId: id,
    kind: 'discharge',
    words: '',
    forReferrer: false,
  });
  const page = await stage.open(`/patients/${id}?view=summary`);
  await says(page, 'Back with another complaint');
  await typeInto(page, 'Complaint', 'Low back after hauling');
  await page.select('select[name=area]', 'back');
  await press(page, 'Begin the episode');
  await page.waitForFunction(() => window.location.pathname.endsWith('/screen'));
  await says(page, 'Low back after hauling');
  await goTo(page, `${stage.server.origin}/patients/${id}?view=summary`);
  await says(page, 'No goal is written.');
  await Promise.all([page.waitForNavigation(), press(page, 'Neck')]);
  await says(page, 'It can be read, not changed.');
  expect(await textOf(page)).toContain('Haul the nets');
  expect(page.problems).toEqual([]);
});

it('asks before somebody is added who may be there already', async () => {
  await makePatient(stage.practitioner, 'Gannet Twoname');
  const page = await stage.open('/patients/new');
  await page.type('main input[name=name]', 'Twoname Gannet');
  await page.type('main input[name=complaint]', 'Neck');
  await press(page, 'Add and write the programme');
  await says(page, 'This may be somebody you have already: Gannet Twoname.');
  expect(await page.$eval('main input[name=name]', ({ value }) => value)).toBe('Twoname Gannet');
  await clickAt(page, 'input[name=another]');
  await press(page, 'Add and write the programme');
  await page.waitForFunction(() => window.location.pathname.endsWith('/screen'));
  expect(page.problems).toEqual([]);
});

it('says what is next after a version was saved, and gives it the keyboard (long)', async () => {
  const id = await makePatient(stage.practitioner, 'Plover Nextley');
  await saveScreening(stage.practitioner, screening(id, []));
  const page = await stage.open(`/patients/${id}/plan?exercise=tuck-lying`);
  await page.waitForSelector('input[aria-label^="Dose of Tuck lying down"]');
  await press(page, 'Save as version 1');
  await says(page, 'Version 1 is saved.');
  await page.waitForFunction(() => document.activeElement?.textContent === 'Version 1 is saved.');
  await Promise.all([page.waitForNavigation(), press(page, 'Teach it')]);
  expect(page.url()).toContain('/teach');
  expect(page.problems).toEqual([]);
});

it('stops reminders by the link in a mail, and shows the lead’s mail server without its password (long)', async () => {
  const id = await makePatient(stage.practitioner, 'Heron Mailwright');
  process.env.PUBLIC_URL = stage.server.origin;
  try {
    await saveMail(stage.lead, {
      on: true,
      host: '127.0.0.1',
      port: 9,
      security: 'none',
      user: 'clinic',
      password: 'not to be shown',
      from: 'clinic@harbour.example',
      mostADay: 10,
    });
  } finally {
    delete process.env.PUBLIC_URL;
  }
  const { clinicId } = stage.practitioner;
  const key = (await mailServerOf(clinicId))?.stopKey ?? '';
  const page = await freshPage(stage.browser, PHONE);
  const token = stopToken(key, clinicId, id);
  await goTo(page, `${stage.server.origin}/stop-mail?t=${token}`);
  expect(await textOf(page)).not.toContain('Heron');
  await press(page, 'Stop the reminders');
  await says(page, 'sends you no more reminders');
  expect(await violations(page, 'as it stands')).toEqual([]);
  const lead = await freshPage(stage.browser, DESK);
  await beMember(lead, stage.server.origin, stage.lead.token);
  await goTo(lead, `${stage.server.origin}/clinic`);
  expect(await lead.content()).not.toContain('not to be shown');
  await press(lead, 'Send a test to me');
  await says(lead, 'The server did not take it');
  expect([...page.problems, ...lead.problems]).toEqual([]);
});

it('shows evidence by tables, the same in its file, to a practitioner and not to an assistant (long)', async () => {
  const page = await stage.open('/evidence');
  await says(page, 'Fewer than five patients have agreed');
  expect(await violations(page, 'as it stands')).toEqual([]);
  const assistant = await freshPage(stage.browser, DESK);
  await beMember(assistant, stage.server.origin, stage.assistant.token);
  await goTo(assistant, `${stage.server.origin}/evidence`);
  expect(new URL(assistant.url()).pathname).toBe('/');
  expect(page.problems).toEqual([]);
});

/** A small table here; `npm run long` takes one as large as is taken. */
const TABLE_ROWS = Number(process.env.TABLE_ROWS ?? 240);

it('takes patients in from a table: columns named, rows looked at, then written (long)', async () => {
  await makePatient(stage.practitioner, 'Knot Tablewell');
  const rows = Array.from(
    { length: TABLE_ROWS - 4 },
    (_, at) =>
      `Person${at},Shoal${(at * 7919) % 5003},${1950 + (at % 50)}-03-0${1 + (at % 9)},+000 ${5000 + at}`,
  );
  const table = [
    'First name,Surname,Date of birth,Mobile',
    ...rows,
    'Knot,Tablewell,,',
    'Nobody,Borndate,31/31/1980,',
    ',,1980-01-01,',
    'Person0,Shoal0,,',
  ].join('\n');
  const file = join(tmpdir(), `table-${randomUUID()}.csv`);
  writeFileSync(file, table);
  try {
    const page = await stage.open('/patients/import');
    await page.waitForSelector('main input[type=file]');
    await awake(page);
    const input = await page.$('main input[type=file]');
    await (input as ElementHandle<HTMLInputElement>).uploadFile(file);
    await says(page, 'Which column is what');
    await typeInto(page, 'Complaint where the table has none', 'Neck');
    await press(page, `Look at ${TABLE_ROWS} rows`);
    await says(
      page,
      `${TABLE_ROWS - 4} ready to be written, 2 that may be there already, 2 that cannot be taken.`,
    );
    const said = await textOf(page);
    expect(said).toContain('“31/31/1980” is no date that can be read (day first).');
    expect(said).toContain('line 2 of this table');
    expect(await violations(page, 'import')).toEqual([]);
    await press(page, `Write ${TABLE_ROWS - 4} patients`);
    await says(page, `${TABLE_ROWS - 4} written`);
    await page.type('[role=combobox]', `person${TABLE_ROWS - 10}`);
    await page.waitForSelector('[role=option]');
    expect(page.problems).toEqual([]);
  } finally {
    rmSync(file, { force: true });
  }
}, 300_000);

it('files a paper that came in: open in the summary until it is read (long)', async () => {
  const id = await makePatient(stage.practitioner, 'Paper Reeve');
  const page = await stage.open(`/patients/${id}?view=summary`);
  await press(page, 'Papers that came in');
  await says(page, 'None yet');
  const file = join(tmpdir(), `paper-${id}.pdf`);
  writeFileSync(file, '%PDF-1.4 a referral');
  await press(page, 'File it');
  await says(page, 'Choose a file.');
  const input = await page.$('input[name=paper]');
  await (input as ElementHandle<HTMLInputElement>).uploadFile(file);
  await press(page, 'File it');
  await says(page, 'Choose what it is.');
  await page.select('select[name=kind]', 'imaging report');
  await press(page, 'File it');
  await says(page, 'Imaging report of today');
  // The title follows the page that is read anew.
  await page.waitForFunction(() => document.title !== '');
  expect(await violations(page, 'papers that came in')).toEqual([]);
  await goTo(page, `${stage.server.origin}/patients/${id}?view=summary`);
  await says(page, '1 paper that came in is not read');
  await press(page, '1 paper that came in is not read');
  await press(page, 'I have read it');
  await says(page, 'read by');
  rmSync(file, { force: true });
  expect(page.problems).toEqual([]);
});
