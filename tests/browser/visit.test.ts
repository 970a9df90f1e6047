import { keptVisitDraft } from '@/server/visit/visit-drafts';
import type { Page } from 'puppeteer-core';
import { screeningsOf } from '@/db';
import { latestMeasures } from '@/server/visit/measuring';
import { screeningState } from '@/server/visit/screening';
import {
  PHONE,
  awake,
  chord,
  clickAt,
  freshPage,
  goTo,
  press,
  reloaded,
  says,
  textOf,
} from '../support/browser';
import { device, makePatient } from '../support/clinic';
import { browserStage } from '../support/browser-stage';
import { patientOf } from '../support/stage';

/** The first half of a visit, in a real browser. */
// The light browser knows no sensors.
const stage = browserStage();

const choose = (page: Page, question: string, answer: string) =>
  page.click(`input[name="${question}"][value="${answer}"]`);

/** Types into the field with this label. */
async function fill(page: Page, label: string, text: string) {
  const input = await page.waitForSelector(
    `::-p-xpath(//label[normalize-space(.)="${label}"]/following-sibling::*[self::input or self::textarea][1])`,
  );
  await input?.click();
  await page.keyboard.type(text);
}

it('screens on one page: mark the exceptions, n for the rest, and the block holds on Plan', async () => {
  const id = await makePatient(stage.practitioner);
  const page = await stage.open(`/patients/${id}/screen`);
  await says(page, 'An unanswered question is not a no.');
  await choose(page, 'clumsy-hands', 'yes');
  await says(page, 'Refer before exercising');
  await choose(page, 'latex', 'yes');
  await page.focus('body');
  await chord(page, 'Alt', 'n');
  await fill(page, 'Age in years', '61');
  await says(page, 'Clumsy hands, or symptoms in both arms.');
  await press(page, 'Confirm the screening');
  await says(page, 'Prescribing is blocked.');
  expect((await screeningState(await patientOf(stage, id))).outcome).toBe('refer');

  await press(page, 'Plan');
  await says(page, 'The screening blocks prescribing:');
  await press(page, 'Screen');
  await says(page, 'What was done, and why');
  // What is missing is said, and what was typed stays.
  await fill(page, 'In your words', 'Called the physician');
  await press(page, 'Record');
  await says(page, 'Choose what was done.');
  await page.select('select[name=action]', 'opinion received');
  await fill(page, 'Why', 'Known old injury of the hand');
  // A toast may lie over it for a moment, so it is not pressed by its place.
  await page.$eval('input[name=mayPrescribe]', (box) => box.click());
  await press(page, 'Record');
  await says(page, 'Prescribing may go on.');
  expect((await screeningState(await patientOf(stage, id))).blocked).toBe(false);

  // The letter comes from the record, is kept, and closes with its answer.
  await clickAt(page, '::-p-xpath(//summary[contains(., "Write a referral letter")])');
  await fill(page, 'To', 'Dr Fathom');
  await press(page, 'Keep the letter');
  await says(page, 'To: Dr Fathom');
  expect(await textOf(page)).toContain('- Clumsy hands (buttons, keys, writing)');
  await press(page, 'Screen');
  await says(page, 'Open, no answer yet.');
  await clickAt(page, '::-p-xpath(//summary[contains(., "Record the answer")])');
  await fill(page, 'Answer', 'Carpal tunnel; exercise is fine.');
  await press(page, 'Record the answer');
  await says(page, 'Carpal tunnel; exercise is fine.');
  expect(page.problems).toEqual([]);
  await page.close();
}, 900_000);

it('takes the patient’s own answers from the link, says what to do at once, and waits', async () => {
  const id = await makePatient(stage.practitioner);
  const { link } = await device(stage.practitioner, id);
  const page = await freshPage(stage.browser, PHONE);
  await goTo(page, `${stage.server.origin}/open#${link}`);
  await press(page, 'Answer the health questions');
  await says(page, 'Before your visit');
  await awake(page);
  await clickAt(page, 'input[name="saddle-numbness"]');
  await press(page, 'No to everything');
  await press(page, 'Send my answers');
  await says(page, 'Some of your answers need help now.');
  await says(page, 'Call 000.');
  await goTo(page, `${stage.server.origin}/today`);
  expect(await textOf(page)).not.toContain('Answer the health questions');
  await page.close();

  const desk = await stage.open(`/patients/${id}/screen`);
  await says(desk, 'The patient answered on');
  await says(desk, 'Emergency now');
  const [row] = await screeningsOf(stage.practitioner.clinicId, id);
  expect([row?.byPatient, row?.confirmedBy]).toEqual([true, null]);
  await press(desk, 'Confirm the screening');
  await says(desk, 'Prescribing is blocked.');
  await desk.close();
});

it('measures by keyboard, warns when trials disagree, and names the field that is impossible (long)', async () => {
  const id = await makePatient(stage.practitioner);
  const page = await stage.open(`/patients/${id}/measure?profile=neck`);
  const trial = (name: string, n: number) => `input[aria-label="${name}, trial ${n}, degrees"]`;
  await page.type(trial('Neck turn left', 1), '60');
  await page.type(trial('Neck turn left', 2), '72');
  await says(page, 'The trials disagree: take another.');
  await page.type(trial('Neck turn right', 1), '740');
  await page.keyboard.down('Control');
  await page.keyboard.press('Enter');
  await page.keyboard.up('Control');
  await says(page, 'Neck turn is between 0 and 180°; 740 is not possible.');
  expect(
    await page.$eval(trial('Neck turn left', 2), (input) => (input as HTMLInputElement).value),
  ).toBe('72');
  expect(await latestMeasures(await patientOf(stage, id))).toEqual([]);
  // The page is left once what was typed is kept, however slow the machine.
  const kept = async () =>
    keptVisitDraft(stage.practitioner, (await patientOf(stage, id)).id, 'measures');
  while (!(JSON.stringify(await kept()) ?? '').includes('740'))
    await new Promise((resolve) => setTimeout(resolve, 100));
  await reloaded(page);
  // What was typed is kept by the page and put back once it is awake.
  await page.waitForFunction(
    (selector) => document.querySelector<HTMLInputElement>(selector)?.value === '740',
    {},
    trial('Neck turn right', 1),
  );
  await page.click(trial('Neck turn right', 1), { count: 3 });
  await page.keyboard.type('50');
  await says(page, 'Right 16° less, beyond error (10°).');
  await press(page, 'Save 2 measured');
  await says(page, 'Right neck turn 16° less than left, beyond error (10°).');
  await press(page, 'Confirm all');
  await says(page, 'Take back');
  await goTo(page, `${stage.server.origin}/patients/${id}/plan`);
  await says(page, 'Points to: held stretches for the short side.');
  expect(page.problems).toEqual([]);
  await page.close();
});

it('keeps a screening and a history that were begun, through a reload and on another machine, until they are saved (long)', async () => {
  const id = await makePatient(stage.practitioner);
  const path = `/patients/${id}/screen`;
  const page = await stage.open(path);
  await says(page, 'An unanswered question is not a no.');
  await choose(page, 'clumsy-hands', 'yes');
  await fill(page, 'Age in years', '61');
  await fill(page, 'Onset', 'Since the spring tide');
  // Both are kept: under the screening, and under the history.
  await page.waitForFunction(() => document.body.innerText.split('Kept, not signed.').length === 3);
  await reloaded(page);
  await says(page, 'Your unfinished screening is back');
  await says(page, 'Refer before exercising');
  const typed = (of: Page, label: string) =>
    of.$eval(
      `::-p-xpath(//label[normalize-space(.)="${label}"]/following-sibling::*[self::input or self::textarea][1])`,
      (field) => (field as HTMLInputElement).value,
    );
  expect(await typed(page, 'Age in years')).toBe('61');
  expect(await typed(page, 'Onset')).toBe('Since the spring tide');
  // Nothing of it counts yet.
  expect((await screeningState(await patientOf(stage, id))).current).toBeNull();

  const other = await stage.open(path);
  await says(other, 'Your unfinished screening is back');
  await press(other, 'Begin it anew');
  await other.waitForFunction(
    () => !document.body.innerText.includes('unfinished screening is back'),
  );
  expect(await typed(other, 'Age in years')).toBe('');
  await press(other, 'Save the history');
  await says(other, 'History saved.');
  await reloaded(other);
  expect(await typed(other, 'Onset')).toBe('Since the spring tide');
  expect(await textOf(other)).not.toContain('unfinished screening is back');
  expect([...page.problems, ...other.problems]).toEqual([]);
});
