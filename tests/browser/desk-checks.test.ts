import { randomUUID } from 'node:crypto';
import { decideFinding, findingList } from '@/server/visit/findings';
import { saveMeasurements } from '@/server/visit/measuring';
import { saveScreening } from '@/server/visit/screening';
import { DESK, PHONE, chord, clickAt, goTo, press, says } from '../support/browser';
import { prescribe, screenedPatient } from '../support/clinic';
import { doseOf, withAlt, clickLabel, sentTo } from '../support/desk';
import { eventually } from '../support/record';
import { measure, patientOf, screening } from '../support/stage';
import { browserStage } from '../support/browser-stage';

const stage = browserStage();

it('suggests from a confirmed finding, and adds what was accepted by one key', async () => {
  const { practitioner } = stage;
  const patientId = await screenedPatient(practitioner);
  await saveMeasurements(practitioner, {
    patientId,
    measurements: [
      measure({ kind: 'deep-flexor-hold', side: null, position: 'lying', trials: [12] }),
    ],
  });
  const { proposed } = await findingList(await patientOf(stage, patientId));
  for (const { key, say } of proposed)
    await decideFinding(practitioner, {
      id: randomUUID(),
      patientId,
      key,
      decision: 'confirmed',
      proposed: say,
      say,
      reason: '',
    });
  const page = await stage.open(`/patients/${patientId}/plan`);
  await says(page, 'The lying lift was held 12 s.');
  await says(page, 'Nothing for the main finding');
  expect(await page.$$('ol .desk-row')).toHaveLength(0);
  await clickAt(page, 'section[aria-label=Suggestions] input[type=checkbox]');
  await withAlt(page, 'a');
  await page.waitForSelector('input[aria-label="Dose of Tuck and lighten"]');
  await page.waitForFunction(
    () => !document.body.innerText.includes('Nothing for the main finding'),
  );
});

it('sends the measured set-up home with its exercise, by one key, and says when it is measured anew (long)', async () => {
  const patientId = await screenedPatient(stage.practitioner);
  const gap = (mm: number) =>
    saveMeasurements(stage.practitioner, {
      patientId,
      measurements: [
        measure({
          kind: 'wall-gap',
          side: null,
          position: 'standing',
          instrument: 'ruler or tape',
          trials: [mm, mm, mm],
        }),
      ],
    });
  await gap(47);
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'wall-press', dose: '3x30s gap 60s rpe 4 1/day daily until 14 days' },
  ]);
  const page = await stage.open(`/patients/${patientId}/plan`);
  await says(page, 'Measured: Pad 4.5 cm thick, between your head and the wall');
  await says(page, 'measured and not sent home: pad 4.5 cm');
  await page.focus('input[aria-label="Dose of Wall press into a pad"]');
  await withAlt(page, 'm');
  await says(page, 'It goes home with the exercise.');
  await page.waitForFunction(() => !document.body.innerText.includes('not sent home'));
  await page.keyboard.down('Control');
  await page.keyboard.press('Enter');
  await page.keyboard.up('Control');
  await says(page, 'Version 2 saved');
  await eventually(async () => {
    expect(
      (await sentTo(stage.practitioner.clinicId, patientId)).at(-1)?.lines[0]?.setUp,
    ).toMatchObject([{ fact: { kind: 'pad', cm: 4.5 } }]);
  });
  await gap(36);
  await goTo(page, `${stage.server.origin}/patients/${patientId}/plan`);
  await says(page, 'Measured anew: Pad 3.5 cm thick');
  await says(page, 'measured anew: pad 3.5 cm, the line says pad 4.5 cm');
  await press(page, 'Change');
  await page.waitForFunction(() => !document.body.innerText.includes('Measured anew'));
  await press(page, 'Undo');
  await says(page, 'Measured anew: Pad 3.5 cm thick');
  await press(page, 'Take off');
  await page.waitForFunction(() => !document.body.innerText.includes('Measured anew'));
  await says(page, 'Measured: Pad 3.5 cm thick');
}, 300_000);

it('sends a flagged line only with a reason, and nothing that cannot be read', async () => {
  const { practitioner } = stage;
  const patientId = await screenedPatient(practitioner);
  await saveScreening(practitioner, screening(patientId, ['jaw']));
  const page = await stage.open(`/patients/${patientId}/plan`);
  await chord(page, 'Control', 'k');
  await page.keyboard.type('under-jaw');
  await page.keyboard.press('Enter');
  await says(page, 'Flagged: resistance under the jaw.');
  // The checks follow what is typed at their own pace.
  await page.waitForFunction(() =>
    [...document.querySelectorAll('button')].some(
      (one) => one.textContent?.startsWith('Save as') && one.disabled,
    ),
  );
  await page.type('input[placeholder="Why it goes ahead"]', 'Jaw settled, teeth apart');
  await page.waitForFunction(() => document.body.innerText.includes('goes ahead with a reason'));
  await press(page, 'Save as version 1');
  await says(page, 'Version 1 saved');
  expect(
    (await sentTo(stage.practitioner.clinicId, patientId))[0]?.lines[0]?.overrides,
  ).toMatchObject([{ reason: 'Jaw settled, teeth apart' }]);
});

it('compares schools, takes one, says what changed, and undoes it (long)', async () => {
  const patientId = await screenedPatient(stage.practitioner);
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'curl-up', dose: '3x10s gap 10s daily' },
    { exerciseId: 'straight-leg-raise', dose: '2x20 left' },
  ]);
  const page = await stage.open(`/patients/${patientId}/plan`);
  await clickLabel(page, 'Compare schools for Curl-up, hands under the low back');
  await says(page, 'Contractions a day');
  await clickLabel(page, 'Take Descending sets');
  await says(page, '3x10s → 6-4-2');
  const curl = 'Curl-up, hands under the low back';
  expect(await doseOf(page, curl)).toBe('6-4-2 hold 10-15s rest 20-30s daily');
  await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
  expect(await doseOf(page, curl)).toBe('3x10s gap 10s daily');
  await page.select('select[aria-label="School of Straight leg raise"]', 'volume-load');
  await says(page, 'Kept as written; it goes on by “Volume, then load”');
  expect(await doseOf(page, 'Straight leg raise')).toBe('2x20 left');
  // Its own dose, with its phases, is taken where all of them are shown.
  await clickLabel(page, 'Compare schools for Straight leg raise');
  await clickLabel(page, 'Take its dose: Volume, then load');
  await says(page, '2 later phases are written below');
  await says(page, 'The first week');
  // A number is typed over: Backspace and 2 is 2, and what is out of bounds is said and not taken.
  const rounds = await page.waitForSelector('::-p-aria(Times through in a session)');
  await rounds?.focus();
  await page.keyboard.press('Backspace');
  await page.keyboard.type('2');
  expect(await rounds?.evaluate((one) => (one as HTMLInputElement).value)).toBe('2');
  await page.keyboard.press('Backspace');
  await page.keyboard.type('9');
  await says(page, 'A whole number from 1 to 5.');
  await page.keyboard.press('Tab');
  expect(await rounds?.evaluate((one) => (one as HTMLInputElement).value)).toBe('2');
  const school = `select[aria-label="School of ${curl}"]`;
  await page.select(school, 'descending-sets');
  await says(page, 'Descending sets cannot go on from this dose');
  await says(page, '6-4-2 hold 10-15s rest 20-30s daily');
  await press(page, 'Leave it as written');
  expect(await doseOf(page, curl)).toBe('3x10s gap 10s daily');
  await page.select(school, 'lengthen');
  await says(page, 'Kept as written; it goes on by “Lengthen the hold”');
  await page.select(`select[aria-label="Holds of ${curl}"]`, '30 60');
  for (const fold of ['Coming weeks', 'If every step succeeds'])
    await (await page.waitForSelector(`summary::-p-text(${fold})`))?.click();
  await says(page, '3x60s');
  await says(page, 'next phase: Straight leg raise');
  expect(await page.$$('input[aria-label="Dose of Straight leg raise"]')).toHaveLength(3);
});

it('shows where the patient stands on the stairs, also on a phone (long)', async () => {
  const { practitioner } = stage;
  const patientId = await screenedPatient(practitioner);
  await saveScreening(practitioner, screening(patientId, ['carotid']));
  await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  for (const viewport of [DESK, PHONE]) {
    const page = await stage.open(`/patients/${patientId}/stairs`, viewport);
    const steps = await page.$$eval('summary', (all) => all.map((one) => one.textContent));
    const step = (name: string) => steps.find((text) => text.includes(name)) ?? '';
    expect(step('Tuck lying down')).toContain('where the patient stands');
    expect(step('Nod and hold, finger check')).toContain('closed: flagged');
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - innerWidth),
    ).toBeLessThanOrEqual(0);
    await page.close();
  }
});
