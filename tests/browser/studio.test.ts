import { randomUUID } from 'node:crypto';
import type { Page } from 'puppeteer-core';
import { OwnFigure } from '@/core/records';
import { bareFigure } from '@/core/studio';
import type { Figure } from '@/core/figure';
import { ownFigureOf } from '@/server/desk/own-figures';
import { ownExercises, saveExercise } from '@/server/desk/exercises';
import { violations } from '../support/axe';
import {
  DESK,
  PHONE,
  beMember,
  freshPage,
  goTo,
  press,
  reloaded,
  says,
  textOf,
  pictureShown,
  typeInto,
} from '../support/browser';
import { browserStage } from '../support/browser-stage';
import {
  device,
  makeClinic,
  member,
  ownDraft,
  prescribe,
  screenedPatient,
} from '../support/clinic';
import { eventually } from '../support/record';

const stage = browserStage();

const HANDLE = (name: string) => `button[aria-label^="${name}: drag"]`;

/** Where a handle is in the window, and how far down the drawing. */
async function placeOf(page: Page, name: string) {
  await page.waitForSelector(HANDLE(name));
  return page.$eval(HANDLE(name), (handle) => {
    const { x, y, width, height } = handle.getBoundingClientRect();
    const paper = handle.parentElement?.getBoundingClientRect();
    return {
      x: x + width / 2,
      y: y + height / 2,
      down: (y - (paper?.y ?? 0)) / (paper?.height ?? 1),
    };
  });
}

async function drag(page: Page, name: string, right: number, down: number) {
  await page.$eval(HANDLE(name), (handle) => handle.scrollIntoView({ block: 'center' }));
  const { x, y } = await placeOf(page, name);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + right / 2, y + down / 2, { steps: 3 });
  await page.mouse.move(x + right, y + down, { steps: 3 });
  await page.mouse.up();
}

const drawnAs = async (name: string): Promise<Figure | null> => {
  const { clinicId } = stage.practitioner;
  const own = (await ownExercises(clinicId)).find((one) => one.name === name);
  return own?.drawing === undefined ? null : ownFigureOf(clinicId, own.drawing);
};

it('draws an own exercise with mouse and keys, undoes, keeps it, and shows it on the phone (long)', async () => {
  const page = await stage.open('/exercises/new');
  await typeInto(page, 'Name', 'Signal arm');
  await typeInto(page, 'Usual dose', '2x4 move 2s daily');
  await typeInto(page, 'How to do it', 'Lift one arm as if to signal.');
  await press(page, 'Standing');
  await press(page, '2. There');

  const before = await placeOf(page, 'right hand');
  await drag(page, 'right hand', 90, -150);
  const after = await placeOf(page, 'right hand');
  expect(after.down).toBeLessThan(before.down - 0.1);
  await press(page, 'Undo');
  await eventually(async () =>
    expect((await placeOf(page, 'right hand')).down).toBeCloseTo(before.down, 2),
  );
  await press(page, 'Redo');

  // The head by keys alone: five centimetres back, then the arrow that takes one of them back.
  await page.focus(HANDLE('head'));
  await page.keyboard.down('Shift');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.up('Shift');
  await says(page, 'head 4');
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
  await page.waitForFunction(() => !document.body.textContent.includes('head 4'));
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await page.keyboard.press('ArrowLeft');
  await says(page, 'head 2');

  const slider = await page.$('::-p-xpath(//label[contains(., "Trunk bent forward")]//input)');
  await slider?.focus();
  for (let press = 0; press < 10; press += 1) await page.keyboard.press('ArrowRight');
  await says(page, '10°');
  await press(page, 'Draw the fault');
  await typeInto(page, 'What the fault is', ': shoulder hitched');
  await typeInto(page, 'What the fault is', '');

  await page.waitForSelector('[aria-label="Count Signal arm"]');
  expect(await violations(page, 'the studio')).toEqual([]);
  await press(page, 'Keep');
  await page.waitForFunction(() => location.pathname === '/exercises');
  const figure = await drawnAs('Signal arm');
  expect(figure?.fault?.name).toBe('What goes wrong: shoulder hitched');
  expect(figure?.poses[1].lumbar.flex).toBe(5);
  expect(figure?.poses[1].arms.right.by).toBe('goal');

  // It stands in the search, on the line, on the drawings page and on the phone.
  const own = (await ownExercises(stage.practitioner.clinicId)).find(
    ({ name }) => name === 'Signal arm',
  );
  const patientId = await screenedPatient(stage.practitioner);
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: own?.id ?? '', dose: '2x4 move 2s daily' },
  ]);
  await goTo(page, `${stage.server.origin}/patients/${patientId}/plan`);
  await pictureShown(page, `img[src^="/figures/${own?.drawing}/right"]`);
  await goTo(
    page,
    `${stage.server.origin}/exercises/pictures?family=${encodeURIComponent(own?.family ?? '')}`,
  );
  await says(page, 'Not so: What goes wrong: shoulder hitched');

  const { link } = await device(stage.practitioner, patientId);
  const phone = await freshPage(stage.browser, PHONE);
  await goTo(phone, `${stage.server.origin}/open#${link}`);
  await phone.waitForFunction(() => location.pathname === '/today');
  await pictureShown(phone, `img[src^="/figures/${own?.drawing}/right"]`);
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  const player = await phone.waitForSelector('svg.figure[aria-label^="Seen from the side."]');
  expect(await player?.evaluate((svg) => svg.querySelectorAll('path').length)).toBeGreaterThan(10);
}, 600_000);

it('begins from an exercise that is drawn, comes back after a reload, and can be left out (long)', async () => {
  const page = await stage.open('/exercises/new');
  await typeInto(page, 'Name', 'Bridge of planks');
  const choice = await page.$('::-p-xpath(//label[. = "Or begin from"]/following-sibling::select)');
  await choice?.select('bridge');
  await page.waitForSelector(HANDLE('pelvis'));
  const kept = page.waitForResponse(
    (response) => response.url().endsWith('/own-drafts') && response.ok(),
  );
  await press(page, 'Add a pose');
  await kept;
  await reloaded(page);
  await page.waitForSelector(HANDLE('pelvis'));
  expect(await textOf(page)).toContain('3. ');
  await press(page, 'Leave the drawing out');
  await page.waitForFunction(() => document.body.textContent.includes('Begin from a position'));
}, 300_000);

it('shows a clinic’s own drawing to its own people alone (long)', async () => {
  await saveExercise(stage.practitioner, {
    id: randomUUID(),
    exercise: ownDraft('Ours alone', {
      figure: OwnFigure.parse(JSON.parse(JSON.stringify(bareFigure('sitting')))),
    }),
  });
  const page = await stage.open('/exercises');
  const own = (await ownExercises(stage.practitioner.clinicId)).find(
    ({ name }) => name === 'Ours alone',
  );
  const address = `${stage.server.origin}/figures/${own?.drawing}/left`;
  const asked = (of: Page) =>
    of.evaluate(async (from) => {
      const answer = await fetch(from);
      return [answer.status, answer.headers.get('cache-control')];
    }, address);
  expect(await asked(page)).toEqual([200, 'private, no-cache']);
  expect((await fetch(address)).status).toBe(404);
  const elsewhere = await makeClinic('other side of the bay');
  const stranger = await freshPage(stage.browser, DESK);
  await beMember(stranger, stage.server.origin, (await member(elsewhere.emails.lead)).token);
  await goTo(stranger, `${stage.server.origin}/exercises`);
  expect((await asked(stranger))[0]).toBe(404);
}, 300_000);
