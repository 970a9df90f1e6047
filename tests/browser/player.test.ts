import { openAlertsOf, pausesOf } from '@/db';
import { press, reloaded, reportTrouble, says, textOf } from '../support/browser';
import { finish, phoneStage } from '../support/phone';
import { eventually, repsTold } from '../support/record';

const { stage, atThePlayer, told } = phoneStage();

it('loses nothing when the page is reloaded in the middle, and goes on where it left off', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  await reloaded(phone);
  // The repetition done is told even if the session is never gone on with.
  await eventually(async () => {
    expect(repsTold(await told(patientId)).length).toBeGreaterThanOrEqual(1);
  });
  await says(phone, 'Go on where you left off');
  await press(phone, 'Go on where you left off');
  await press(phone, 'Start');
  await finish(phone);
  await says(phone, 'Everything you did is at harbour.');
  await eventually(async () => {
    const reps = repsTold(await told(patientId)).map((rep) => rep.rep);
    expect(reps).toEqual([1, 2, 3, 4, 1, 2]);
  });
}, 900_000);

it('pauses the programme and tells the clinic when something feels wrong', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, 'Move');
  await press(phone, 'Stop');
  await says(phone, 'What you did so far is saved.');
  await reportTrouble(phone, 'An arm or leg is weak', 2, 'as usual');
  await says(phone, 'Stop now, and call your clinic');
  expect(await textOf(phone)).toContain('+000 555 01');
  await press(phone, 'Next');
  await press(phone, 'Leave without telling');
  await says(phone, 'Your programme is paused');
  expect(await textOf(phone)).not.toContain('Begin');
  // The page pauses at once; the report may still be on its way.
  await eventually(async () => {
    expect(await openAlertsOf(stage.practitioner.clinicId, [patientId])).toMatchObject([
      { kind: 'stopped for a symptom' },
    ]);
  });
  expect(await pausesOf(stage.practitioner.clinicId, [patientId])).toMatchObject([
    { cause: 'stop', toDate: null },
  ]);
}, 900_000);
