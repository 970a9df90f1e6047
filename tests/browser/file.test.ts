import type { Page } from 'puppeteer-core';
import { openAlertsOf } from '@/db';
import { fileOf } from '@/server/visit/entries';
import { saveScreening } from '@/server/visit/screening';
import { latestMeasures } from '@/server/visit/measuring';
import {
  DESK,
  beMember,
  chord,
  clickAt,
  freshPage,
  goTo,
  press,
  says,
  textOf,
} from '../support/browser';
import { makePatient, prescribe } from '../support/clinic';
import { browserStage } from '../support/browser-stage';
import { patientOf, screening } from '../support/stage';

/** History, goals, consent, and the forms of the measuring sheet that are not plain numbers. */
const stage = browserStage();

/** Types into the field with this label. */
async function fill(page: Page, label: string, text: string) {
  const input = await page.waitForSelector(
    `::-p-xpath(//label[normalize-space(.)="${label}"]/following-sibling::*[self::input or self::textarea][1])`,
  );
  await input?.click({ count: 3 });
  await page.keyboard.type(text);
}

const choose = async (page: Page, label: string, option: string) => {
  const select = await page.waitForSelector(
    `::-p-xpath(//label[normalize-space(.)="${label}"]/following-sibling::select)`,
  );
  await select?.select(option);
};

it('keeps history with its irritability, goals, consent and other care, each on its date (long)', async () => {
  const id = await makePatient(stage.practitioner);
  const page = await stage.open(`/patients/${id}/screen`);
  await fill(page, 'Onset', 'After the storm');
  await choose(page, 'Provoked by', 'almost nothing');
  await fill(page, 'Worst pain then, 0–10', '12');
  await choose(page, 'Settles within', 'days');
  await press(page, 'Save the history');
  await says(page, 'Pain is 0 to 10.');
  await fill(page, 'Worst pain then, 0–10', '8');
  await says(page, 'Irritability high: provoked by almost nothing');
  await press(page, 'Save the history');
  await says(page, 'Save as the newest history');

  await fill(page, 'Wants to do again', 'Row to the lighthouse');
  await clickAt(page, '::-p-xpath(//form[.//label[contains(., "Wants to do again")]]//button)');
  await says(page, 'Row to the lighthouse');
  await press(page, 'Reached');
  await says(page, 'reached on');

  await clickAt(page, '::-p-xpath(//label[contains(., "A minor by local law")]/input)');
  await press(page, 'Record the consent');
  await says(page, 'For a minor a guardian consents: write the name.');
  await fill(page, 'Guardian’s name', 'A. Parent');
  await clickAt(page, 'input[name=exercise]');
  await press(page, 'Record the consent');
  await says(page, 'Last recorded on');

  await fill(page, 'What', 'Injection at the hospital');
  await choose(page, 'Kind', 'injection');
  await clickAt(page, '::-p-xpath(//form[.//select[option="injection"]]//button)');
  await says(page, 'injection: Injection at the hospital');
  const file = await fileOf(await patientOf(stage, id));
  expect(file.history?.body.irritability?.worst).toBe(8);
  expect(file.goals[0]?.body.reachedOn).not.toBeNull();
  expect(file.consent?.body).toMatchObject({
    exercise: true,
    photos: false,
    guardian: 'A. Parent',
  });
  expect(file.care).toHaveLength(1);
  await clickAt(page, '::-p-xpath(//button[contains(., "Take out: Injection")])');
  await says(page, 'Nothing noted yet.');
  expect(page.problems).toEqual([]);
  await page.close();
}, 900_000);

it('tells that a programme still runs when a later screening blocks, and pauses it on request', async () => {
  const id = await makePatient(stage.practitioner);
  await prescribe(stage.practitioner, id, [
    { exerciseId: 'band-pull', dose: '2x10 band light rest 60s' },
    { exerciseId: 'wall-press', dose: '3x30s gap 60s rpe 3-5' },
  ]);
  await saveScreening(stage.practitioner, screening(id, ['latex']));
  const page = await stage.open(`/patients/${id}/plan`);
  await says(page, 'Flagged: bands made of latex.');
  const dose = await page.waitForSelector('input[aria-label="Dose of Band pull to the face"]');
  await dose?.click({ count: 3 });
  await page.keyboard.type('3x10 80% 1rm');
  await says(page, '80 % of the one-repetition maximum allows about 7–8 repetitions');
  const wall = await page.waitForSelector('input[aria-label="Dose of Wall press into a pad"]');
  await wall?.click({ count: 3 });
  await page.keyboard.type('2x60s 50%');
  await says(page, 'predicted to last 52 s to 1 min 49 s');
  await page.evaluate(() => sessionStorage.clear());
  await saveScreening(stage.practitioner, screening(id, ['fever']));
  await goTo(page, `${stage.server.origin}/patients/${id}/screen`);
  await says(page, 'The programme sent earlier still runs at home.');
  await clickAt(page, '::-p-xpath(//div[p[contains(., "still runs")]]//button)');
  await says(page, 'Let it go on');
  await page.waitForFunction(() => !document.body.innerText.includes('still runs at home'));
  expect(page.problems).toEqual([]);
  await page.close();
});

it('reckons held from below, wedge, nod test and index while they are typed (long)', async () => {
  const id = await makePatient(stage.practitioner);
  const page = await stage.open(`/patients/${id}/measure?profile=neck`);
  await chord(page, 'Alt', 'm');
  await says(page, 'Wedge fit');
  await fill(page, 'Sitting relaxed, mm', '50');
  await fill(page, 'Sitting tall, mm', '30');
  await fill(page, 'Chest lifted, mm', '15');
  await says(page, '70 % held from below: 40 % by sitting tall, 30 % by lifting the chest.');
  await fill(page, 'Sitting relaxed, mm', '8');
  await says(page, 'no share is given');
  await fill(page, 'Sitting relaxed, mm', '50');
  await fill(page, 'Floor to where the head rests, mm', '90');
  await fill(page, 'From there up to the ear, mm', '95');
  await fill(page, 'Floor to the shoulder point, mm', '120');
  await says(page, '65 mm under the trunk brings ear and shoulder level.');
  await choose(page, 'Target from 20, mmHg', '24');
  await fill(page, 'Holds of ten seconds, of 10', '6');
  await says(page, 'Performance index 24 of 100');
  for (const title of [
    'Pain intensity',
    'Personal care',
    'Lifting',
    'Reading',
    'Headaches',
    'Work',
    'Driving',
  ])
    await page.type(`input[aria-label="Neck Disability Index, ${title}, 0 to 5"]`, '2');
  await press(page, 'Save');
  await says(page, 'Only 7 of 10 sections are answered: too few for a score.');
  await page.type('input[aria-label="Neck Disability Index, Sleeping, 0 to 5"]', '2');
  await says(page, '20 of 50: moderate, reckoned from 8 sections.');
  await press(page, 'Save');
  await says(page, 'Forward head comes mostly from the trunk: 70 %');
  expect((await latestMeasures(await patientOf(stage, id))).map(({ kind }) => kind).sort()).toEqual(
    ['held-from-below', 'neck-index', 'nod-test', 'wedge-fit'],
  );
  expect(page.problems).toEqual([]);
  await page.close();
}, 900_000);

it('examines nerves with new weakness raising an alert, and marks the body by mouse and key (long)', async () => {
  const id = await makePatient(stage.practitioner);
  const page = await stage.open(`/patients/${id}/measure?profile=neck`);
  await chord(page, 'Alt', 'm');
  await says(page, 'Nerve examination');
  await page.select('select[aria-label="C7 right strength, 0 to 5"]', '4');
  await says(page, 'New weakness. It is urgent whatever the pain does');
  await clickAt(page, '[aria-label="front right fingers"]');
  const elbow = await page.$('[aria-label="back right elbow"]');
  await elbow?.evaluate((part) => (part as SVGGElement).focus());
  await page.keyboard.press('Space');
  await says(page, 'Furthest down the arm: fingers (6 of 6)');
  await press(page, 'Save 2 measured');
  await says(page, 'New weakness at the examination');
  expect(await openAlertsOf(stage.practitioner.clinicId, [id])).toHaveLength(1);
  await says(page, 'Felt down the arm as far as the fingers.');
  await says(page, 'C7 right: strength 4 of 5');
  expect(await textOf(page)).toContain('last arm, as far as fingers');
  expect(page.problems).toEqual([]);
  await page.close();
}, 900_000);

it('keeps the cue that worked, and lets a finding be edited, dismissed with a reason, and added (long)', async () => {
  const id = await makePatient(stage.practitioner);
  const page = await stage.open(`/patients/${id}/measure?profile=neck`);
  const of = (words: string) => `input[aria-label="Neck turn left, ${words}, degrees"]`;
  await page.type(of('trial 1'), '55');
  await clickAt(page, '::-p-xpath(//summary[contains(., "of Neck turn left")])');
  await clickAt(
    page,
    '::-p-xpath(//details[summary[contains(., "of Neck turn left")]]//label[contains(., "chin juts")]/input)',
  );
  await page.type(of('re-test 1'), '70');
  await says(page, 'Write the cue, or it is not kept.');
  const cue = await page.$(
    '::-p-xpath(//details[summary[contains(., "of Neck turn left")]]//label[contains(., "Cue tried")]/following-sibling::input)',
  );
  await cue?.type('slide the ear back');
  await says(page, 'With the cue: +15°, real and better (needs 10°).');
  await press(page, 'Save 1 measured');
  await says(page, 'gains 15° at once with “slide the ear back”');
  await says(page, 'Cue for the programme: “slide the ear back”');
  await clickAt(page, '::-p-xpath(//button[contains(., "Edit: Left neck turn gains")])');
  await fill(page, 'The finding in your words', 'Left turn is a matter of control');
  await clickAt(page, '::-p-xpath(//button[contains(., "Confirm: Left neck turn gains")])');
  await says(page, 'Take back');
  await press(page, 'Dismiss');
  await fill(page, 'Why', 'old habit');
  await clickAt(page, '::-p-xpath(//form[.//label[.="Why"]]//button[contains(., "Dismiss")])');
  await says(page, 'Dismissed (1)');
  await fill(page, 'Add one of your own', 'Left shoulder blade wings');
  await clickAt(page, '::-p-xpath(//form[.//label[contains(., "Add one of your own")]]//button)');
  await says(page, 'Left shoulder blade wings');
  await goTo(page, `${stage.server.origin}/patients/${id}/plan`);
  await says(page, 'Left turn is a matter of control');
  await says(page, 'Cue: “slide the ear back”.');
  expect(page.problems).toEqual([]);
  await page.close();
}, 900_000);

it('lets the lead put the clinic’s own detectable change, and take it back (long)', async () => {
  const page = await freshPage(stage.browser, DESK);
  await beMember(page, stage.server.origin, stage.lead.token);
  await goTo(page, `${stage.server.origin}/clinic`);
  await clickAt(page, '::-p-xpath(//button[contains(., "Change Wall gap")])');
  await fill(page, 'Real from, mm', '6');
  await press(page, 'Keep');
  await says(page, 'The source is missing.');
  await fill(page, 'Source', 'Our twenty repeats');
  await press(page, 'Keep');
  await says(page, 'Our twenty repeats');
  await clickAt(page, '::-p-xpath(//button[contains(., "Built-in for Wall gap")])');
  await page.waitForFunction(() => !document.body.innerText.includes('Our twenty repeats'));
  await page.close();
});

it('fetches no patient’s file ahead while the list is scrolled (long)', async () => {
  for (let index = 0; index < 6; index += 1)
    await makePatient(stage.practitioner, `Scrolled ${index}`);
  const page = await stage.open('/');
  await says(page, 'Scrolled 5');
  const ahead: string[] = [];
  page.on('request', (request) => {
    const headers = request.headers();
    const { pathname } = new URL(request.url());
    if ((headers['next-router-prefetch'] ?? headers.rsc) && pathname.startsWith('/patients/'))
      ahead.push(pathname);
  });
  // Every row has been seen, and a request of our own, sent after that, has been answered.
  for (const link of await page.$$('main a')) await link.scrollIntoView();
  await page.evaluate(() => fetch('/api/v1/patient/manifest').then((answer) => answer.text()));
  expect(ahead).toEqual([]);
  await page.close();
});
