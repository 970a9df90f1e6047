import { openAlertsOf, pausesOf, versionsOf } from '@/db';
import { smallTargets, violations } from '../support/axe';
import { goTo, press, reloaded, reportTrouble, says, textOf } from '../support/browser';
import { prescribe } from '../support/clinic';
import { LINES, finish, phoneStage, playsTo } from '../support/phone';
import { eventually, repsTold } from '../support/record';

const { stage, atThePlayer, phoneWith, told } = phoneStage();

it('loses nothing when the page is reloaded in the middle, and goes on where it left off (long)', async () => {
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

it('asks how many after each set, by one touch, and notes what was lifted (long)', async () => {
  const { phone, patientId, origin } = await phoneWith([
    { exerciseId: 'band-row', dose: 'max-max 4kg rest 5s' },
  ]);
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  expect(await textOf(phone)).toContain(
    'Do 2 sets. In each, do as many as you can, until your form fails.',
  );
  await press(phone, 'Start');
  await says(phone, '3, for as long as your form holds');
  await press(phone, 'That was my last good one');
  await says(phone, 'How many did you do well?');
  expect([await violations(phone, 'how many'), await smallTargets(phone)]).toEqual([[], []]);
  // The next set waits for the number, however long that takes.
  await press(phone, '2');
  await says(phone, 'set 2 of 2');
  await says(phone, '2, for as long as your form holds');
  await press(phone, 'That was my last good one');
  await says(phone, 'How many did you do well?');
  const weight = await phone.waitForSelector('input[inputmode=decimal]');
  await weight?.click({ count: 3 });
  await phone.keyboard.type('5,5');
  const other = await phone.waitForSelector('input[inputmode=numeric]');
  await other?.type('14');
  await press(phone, 'That many');
  await finish(phone);
  await eventually(async () => {
    const counts = (await told(patientId)).flatMap((body) => (body.type === 'count' ? [body] : []));
    expect(counts).toMatchObject([
      { set: 1, reps: 2, load: { amount: 4, unit: 'kg' } },
      { set: 2, reps: 14, load: { amount: 5.5, unit: 'kg' } },
    ]);
  });
  // The next time the last number stands first, and the time goes by it.
  await goTo(phone, `${origin}/today`);
  const pack = await phone.evaluate(async () => {
    const answer = await fetch('/api/v1/patient/pack');
    return (await answer.json()) as { value: { lines: { lastMax: number }[] } };
  });
  expect(pack.value.lines[0]).toMatchObject({ lastMax: 14 });
}, 900_000);

it('pauses the programme and tells the clinic when something feels wrong', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, 'Move');
  await press(phone, 'Stop');
  await says(phone, 'What you did so far is saved.');
  await reportTrouble(phone, 'An arm or leg is weak', 2, 'as usual');
  await says(phone, 'Stop now, and call your clinic');
  expect(await textOf(phone)).toContain('+000 555 01');
  await press(phone, 'Say how it was');
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

it('plays a session to its end as it began, and tells it so, though a new version comes meanwhile', async () => {
  const { phone, patientId } = await phoneWith();
  // Nobody at the clinic knows that it began.
  await phone.setOfflineMode(true);
  await press(phone, 'Begin');
  await press(phone, 'I understand');
  await press(phone, 'Start');
  await playsTo(phone, '2 of 4');
  const { clinicId } = stage.practitioner;
  const versions = async () => (await versionsOf(clinicId, [patientId])).get(patientId) ?? [];
  const [first] = await versions();
  await prescribe(
    stage.practitioner,
    patientId,
    [{ exerciseId: 'chest-stretch', dose: '2x30s' }, ...LINES],
    { basedOn: 1 },
  );
  const pack = phone.waitForResponse((response) => response.url().endsWith('/patient/pack'));
  await phone.setOfflineMode(false);
  expect(await (await pack).text()).toContain('Hands-behind chest stretch');
  // Its second exercise is still what it was when it began.
  await playsTo(phone, 'Sciatic nerve slider, sitting');
  await finish(phone);
  // Once it is left, the new version is what the page shows.
  await says(phone, 'Hands-behind chest stretch');
  await eventually(async () => {
    const lines = (await told(patientId)).flatMap((body) => (body.type === 'line' ? [body] : []));
    expect(repsTold(lines)).toHaveLength(6);
    expect([...new Set(lines.map(({ lineage }) => lineage))]).toEqual(
      first?.lines.map(({ lineage }) => lineage),
    );
  });
}, 900_000);
