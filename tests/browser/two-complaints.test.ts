import type { Page } from 'puppeteer-core';
import { daysDone } from '@/db';
import { PHONE, chord, freshPage, goTo, press, says, typeInto } from '../support/browser';
import { violations } from '../support/axe';
import { device, makePatient, prescribe, screened, today } from '../support/clinic';
import { eventually } from '../support/record';
import { browserStage } from '../support/browser-stage';

/** Two complaints of one person, treated at the same time: one file, one phone. */
const stage = browserStage();

it('treats two complaints at once, each with its own lines, pain and course, on one phone (long)', async () => {
  const { practitioner } = stage;
  const id = await makePatient(practitioner, 'Wren Tidewell');
  await prescribe(practitioner, id, [
    { exerciseId: 'tuck-lying', dose: '10x10s gap 5s daily until review' },
  ]);
  const { link } = await device(practitioner, id);

  const desk = await stage.open(`/patients/${id}?view=summary`);
  await desk.locator('::-p-text(Another complaint beside it)').click();
  await typeInto(desk, 'The other complaint', BACK);
  await desk.locator('details[open] select[name=area]').fill('back');
  await press(desk, 'Begin the episode');
  await says(desk, 'in an earlier episode: screen again');
  expect(await shown(desk)).toEqual([`${BACK} true`, 'Neck false']);
  await screened(practitioner, id);

  // What is put down is for the complaint at hand; what stood there stays for its own.
  await goTo(desk, `${stage.server.origin}/patients/${id}/plan`);
  await chord(desk, 'Control', 'k');
  await desk.keyboard.type('bridge');
  await desk.waitForSelector('[cmdk-item][data-selected=true]');
  await desk.keyboard.press('Enter');
  await desk.waitForSelector('[aria-label="Complaint that Bridge is for"]');
  const chosen = (name: string) =>
    desk.$eval(
      `[aria-label="Complaint that ${name} is for"]`,
      (one) => (one as HTMLSelectElement).selectedOptions[0]?.textContent,
    );
  expect([await chosen('Tuck lying down'), await chosen('Bridge')]).toEqual([
    'for Neck',
    `for ${BACK}`,
  ]);
  expect(await violations(desk, 'two complaints')).toEqual([]);
  await press(desk, 'Save as version 2');
  await says(desk, 'Version 2 saved');

  const phone = await freshPage(stage.browser, PHONE);
  await goTo(phone, `${stage.server.origin}/open#${link}`);
  await says(phone, `For: ${BACK}`);
  await says(phone, 'For: Neck');
  if (process.env.SHOT) await phone.screenshot({ path: '/tmp/p1.png' });
  await press(phone, 'A short word about today');
  await says(phone, `Your worst pain today, 0 to 10: ${BACK}`);
  await answer(phone, 'Neck', 2);
  await answer(phone, BACK, 6);
  expect(await violations(phone, 'two complaints')).toEqual([]);
  if (process.env.SHOT) await phone.screenshot({ path: '/tmp/p2.png' });
  await press(phone, 'Save');
  await says(phone, 'Saved. Thank you.');
  await eventually(async () => {
    const [day] = await daysDone(practitioner.clinicId, [id], today(), today());
    expect(day?.report.worst).toBe(6);
  });

  // Each course has its own number.
  await goTo(desk, `${stage.server.origin}/patients/${id}/follow`);
  await says(desk, '6 of 10');
  const other = await stage.open(`/patients/${id}/follow`);
  await press(other, 'Neck');
  await says(other, 'How it stands');
  await goTo(other, `${stage.server.origin}/patients/${id}/follow`);
  await says(other, '2 of 10');

  // The first window still shows the other complaint: nothing of it is written there.
  await goTo(other, `${stage.server.origin}/patients/${id}?view=summary`);
  await press(other, BACK);
  await other.waitForFunction(isAtHand, {}, BACK);
  const stale = await stage.open(`/patients/${id}?view=summary`);
  await press(other, 'Neck');
  await other.waitForFunction(isAtHand, {}, 'Neck');
  await typeInto(stale, 'What was agreed', 'Rest from the nets');
  await press(stale, 'Write it down');
  await says(stale, 'In another window you went on with “Neck”.');
  expect(await stale.$eval('textarea[name=agreed]', (one) => one.value)).toBe('Rest from the nets');
  // Looking for somebody is about nobody yet, and is not refused.
  await stale.type(
    'input[aria-label="Find a patient"], input[placeholder="Find a patient"]',
    'Wren',
  );
  await says(stale, 'Wren Tidewell');
  // Chosen again, it is written where it belongs, and the words are still there.
  await press(stale, BACK);
  await stale.waitForFunction(isAtHand, {}, BACK);
  for (const page of [desk, phone, other, stale]) expect(page.problems).toEqual([]);
});

const BACK = 'Low back after the nets';

const isAtHand = (complaint: string) =>
  [...document.querySelectorAll('[aria-label="Complaint that is treated"] button')].some(
    (one) => one.textContent === complaint && one.ariaPressed === 'true',
  );

/** The complaints at the head of the file, each with whether it is the one at hand. */
const shown = (page: Page) =>
  page.$$eval('[aria-label="Complaint that is treated"] button', (all) =>
    all.map((one) => `${one.textContent} ${one.ariaPressed}`).sort(),
  );

async function answer(phone: Page, complaint: string, value: number): Promise<void> {
  const radio = await phone.waitForSelector(
    `::-p-xpath(//fieldset[legend[contains(., "${complaint}")]]//label[normalize-space(.)="${value}"])`,
  );
  await radio?.click();
}
