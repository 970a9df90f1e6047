import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chord, goTo, press, says, typeAt, typeInto } from '../support/browser';
import { prescribe, screenedPatient } from '../support/clinic';
import { doseOf, clickLabel } from '../support/desk';
import { browserStage } from '../support/browser-stage';

const stage = browserStage();

it('takes a written programme as text: what is doubtful is asked, and nothing guessed (long)', async () => {
  const patientId = await screenedPatient(stage.practitioner);
  const page = await stage.open(`/patients/${patientId}/plan`);
  await press(page, 'Paste');
  await typeAt(
    page,
    '[role=dialog] textarea',
    '1. Tuck lying down: 3 sets of 10\n- bird dog 3x8 every other day\nthat neck thing 2x30s\nBlade set, down and back 10x3',
  );
  await says(page, '1 line asks which exercise is meant.');
  expect(await page.$eval('[role=dialog] button[disabled]', (one) => one.textContent)).toContain(
    'Put 3 lines',
  );
  await page.select('[role=dialog] select[aria-label="Exercise for: that neck thing"]', 'left out');
  await press(page, 'Put 3 lines on the desk');
  await page.waitForSelector('input[aria-label="Dose of Tuck lying down"]');
  expect(await doseOf(page, 'Tuck lying down')).toBe('3 sets of 10');
  expect(await doseOf(page, 'Blade set, down and back')).toBe('10x3');
  // Ten sets of three, or three of ten: the desk asks before anything is sent.
  await says(page, '10 sets of 3, or 3 sets of 10?');
  expect(page.problems).toEqual([]);
});

it('keeps a template and applies it to another patient (long)', async () => {
  const [from, to] = [
    await screenedPatient(stage.practitioner),
    await screenedPatient(stage.practitioner),
  ];
  await prescribe(stage.practitioner, from, [{ exerciseId: 'blade-set', dose: 'x10 hold 5s' }]);
  const page = await stage.open(`/patients/${from}/plan`);
  await press(page, 'Templates');
  await typeAt(page, '[role=dialog] input', 'Blades first');
  await press(page, 'Keep');
  await says(page, 'Kept as a template');
  await goTo(page, `${stage.server.origin}/patients/${to}/plan`);
  await press(page, 'Templates');
  await clickLabel(page, 'Apply Blades first');
  await page.waitForSelector('input[aria-label="Dose of Blade set, down and back"]');
});

it('takes exercises in from a file, row by row, and offers an own one on the desk (long)', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'dry-lantern-file-'));
  const page = await stage.open('/exercises');
  const bad = join(folder, 'bad.json');
  writeFileSync(bad, JSON.stringify([{ name: 'x', rung: 1 }, 7]));
  const input = (await page.$('input[type=file]')) as unknown as {
    uploadFile(path: string): Promise<void>;
  };
  await input.uploadFile(bad);
  await says(page, 'Nothing was taken in');
  await says(page, 'Row 1:');
  await press(page, 'Add one of your own');
  await page.waitForFunction(() => location.pathname === '/exercises/new');
  const write = (label: string, text: string) => typeInto(page, label, text);
  await write('Name', 'Harbour wall lean');
  await write('Usual dose', '3x');
  await write('How to do it', 'Lean on the harbour wall.');
  await press(page, 'Keep');
  await says(page, 'The usual dose, character 3');
  await write('Usual dose', '10s gap 5s daily');
  await press(page, 'Keep');
  await page.waitForFunction(() => location.pathname === '/exercises');
  await says(page, 'Harbour wall lean');
  const another = await screenedPatient(stage.practitioner);
  await goTo(page, `${stage.server.origin}/patients/${another}/plan`);
  await chord(page, 'Control', 'k');
  await page.keyboard.type('harbour wall');
  await page.keyboard.press('Enter');
  await page.waitForSelector('input[aria-label="Dose of Harbour wall lean"]');
  rmSync(folder, { recursive: true });
});
