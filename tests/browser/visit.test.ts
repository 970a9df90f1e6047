import type { Page } from 'puppeteer-core';
import { screeningsOf } from '@/db';
import { latestMeasures } from '@/server/visit/measuring';
import { screeningState } from '@/server/visit/screening';
import { awake, PHONE, freshPage, goTo, press, reloaded, says, textOf } from '../support/browser';
import { device, makePatient } from '../support/clinic';
import { browserStage, patientOf } from '../support/stage';

/** The first half of a visit, in a real browser. */
// The light browser knows no sensors.
const stage = browserStage(undefined, { whole: true });

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
  await page.keyboard.press('n');
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
  await page.click('::-p-xpath(//summary[contains(., "Write a referral letter")])');
  await fill(page, 'To', 'Dr Fathom');
  await press(page, 'Keep the letter');
  await says(page, 'To: Dr Fathom');
  expect(await textOf(page)).toContain('- Clumsy hands (buttons, keys, writing)');
  await press(page, 'Screen');
  await says(page, 'Open, no answer yet.');
  await page.click('::-p-xpath(//summary[contains(., "Record the answer")])');
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
  await page.click('input[name="saddle-numbness"]');
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

it('measures by keyboard, warns when trials disagree, and names the field that is impossible', async () => {
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
  await reloaded(page);
  expect(
    await page.$eval(trial('Neck turn right', 1), (input) => (input as HTMLInputElement).value),
  ).toBe('740');
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

describe('instruments', () => {
  it('a push is taken as its peak, a lost signal undoes the trial, the force band follows', async () => {
    const id = await makePatient(stage.practitioner);
    const page = await stage.open(`/patients/${id}/measure`);
    await page.keyboard.press('m');
    await says(page, 'Push forward');
    await page.click('::-p-xpath(//button[contains(., "Push forward from the push dynamometer")])');
    await page.click('::-p-xpath(//summary[contains(., "Bench of the simulated")])');
    await press(page, 'Connect the push dynamometer');
    await says(page, 'Push when ready.');
    const bench = (value: number) =>
      page.$eval(
        'input[data-bench="push dynamometer"]',
        (input, truth) => {
          // Past React's own setter, as a hand on the slider would.
          Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(
            input,
            String(truth),
          );
          input.dispatchEvent(new Event('input', { bubbles: true }));
        },
        value,
      );
    const reach = () =>
      page.click(
        '::-p-xpath(//fieldset[legend="push dynamometer"]//label[contains(., "in reach")]/input)',
      );
    await bench(90);
    await says(page, 'Pushing …');
    await reach();
    await says(page, 'Signal lost.');
    await new Promise((resolve) => setTimeout(resolve, 800));
    await reach();
    await says(page, 'does not count. Take it again.');
    await bench(0);
    await press(page, 'Again');
    await says(page, 'Push when ready.');
    await bench(80);
    await new Promise((resolve) => setTimeout(resolve, 1200));
    await bench(0);
    const first = 'input[aria-label="Push forward, trial 1, newtons"]';
    await page.waitForFunction(
      (selector) => (document.querySelector(selector) as HTMLInputElement).value !== '',
      {},
      first,
    );
    const value = Number(await page.$eval(first, (input) => input.value));
    expect(Math.abs(value - 80)).toBeLessThan(5);
    await says(page, '30–50 % of');
    expect(page.problems).toEqual([]);
    await page.close();
  });

  it('the phone’s own sensor measures a tilt from its zero', async () => {
    const id = await makePatient(stage.practitioner);
    const page = await stage.open(`/patients/${id}/measure`, PHONE);
    const cdp = await page.createCDPSession();
    const pose = (beta: number) =>
      cdp.send('DeviceOrientation.setDeviceOrientationOverride', { alpha: 20, beta, gamma: 0 });
    await page.click('::-p-xpath(//summary[contains(., "of Neck bend back")])');
    await page.select(
      '::-p-xpath(//summary[contains(., "of Neck bend back")]/following-sibling::div//select[option="phone sensor"])',
      'phone sensor',
    );
    await pose(15);
    await page.click('::-p-xpath(//button[contains(., "Neck bend back from the phone sensor")])');
    await press(page, 'Connect the phone sensor');
    await says(page, 'Move to the end');
    await press(page, 'Zero here');
    await pose(70);
    const first = 'input[aria-label="Neck bend back, trial 1, degrees"]';
    await page.waitForFunction(
      (selector) => (document.querySelector(selector) as HTMLInputElement).value !== '',
      {},
      first,
    );
    expect(Number(await page.$eval(first, (input) => input.value))).toBe(55);
    await page.close();
  });
});
