import { randomUUID } from 'node:crypto';
import type { ReviewRow } from '@/core/review';
import { TRIAGE_LIMITS } from '@/core/triage';
import { type Instant, instantAt } from '@/core/schedule';
import { addDays, shortDay } from '@/core/units';
import {
  GuardRefused,
  alertsToEscalate,
  closeEpisode,
  episodesOf,
  insertAlert,
  markingsOf,
  openAlertsOf,
  pausesOf,
  triageRowsOf,
  versionsOf,
  write,
} from '@/db';
import { setClock } from '@/server/clock';
import { EXERCISE_COLUMNS } from '@/core/exchange';
import { importExercises } from '@/server/desk/exercises';
import { escalate } from '@/server/follow/escalation';
import { refreshTriage } from '@/server/follow/refresh';
import { rowInWords } from '@/server/follow/review';
import { screenStep } from '@/server/visit/screen-step';
import { signTeaching, teachStep } from '@/server/visit/teaching';
import { untaught } from '@/core/teach';
import { fileHeader } from '@/server/follow/file-header';
import { checkBirth, mayHistory } from '@/server/patient/birth';
import { pauseMyself } from '@/server/patient/settings';
import { takeIn } from '@/server/take-in';
import { saveEntry } from '@/server/visit/entries';
import { markTriage } from '@/server/follow/marks';
import { saveMeasurements, withdrawMeasurement } from '@/server/visit/measuring';
import { answerReferral, saveReferral } from '@/server/visit/referral';
import { saveScreening } from '@/server/visit/screening';
import { draftNote } from '@/server/visit/note';
import {
  device,
  instant,
  makeClinic,
  ZONE,
  makePatient,
  member,
  minute,
  ownDomain,
  prescribe,
  today,
} from '../support/clinic';
import { eventOf } from '../support/record';
import { databaseStage, measure, patientOf, screening } from '../support/stage';
import { consent } from '../support/consent';

/** The door is the real one but where a test makes it refuse. */
let refusals = 0;
let asked = 0;
let guardName: 'day' | 'triage' = 'day';
jest.mock('@/db', () => {
  const real = jest.requireActual<typeof import('@/db')>('@/db');
  return {
    ...real,
    write: (statements: Parameters<typeof real.write>[0]) => {
      asked += 1;
      if (refusals > 0) {
        refusals -= 1;
        return Promise.reject(new real.GuardRefused(guardName));
      }
      return real.write(statements);
    },
  };
});

const stage = databaseStage('edges');
afterEach(() => {
  setClock(null);
  [refusals, guardName] = [0, 'day'];
});
const HOUR_MS = 3_600_000;

describe('a day whose fold others write to', () => {
  it('is tried five times, and no sixth', async () => {
    const here = await device(stage.practitioner, await makePatient(stage.practitioner));
    const post = () => takeIn(here, { sentAt: Date.now(), events: [eventOf({ type: 'started' })] });
    [refusals, asked] = [4, 0];
    await expect(post()).resolves.toMatchObject({ conflicts: [] });
    expect(asked).toBe(5);
    [refusals, asked] = [5, 0];
    await expect(post()).rejects.toBeInstanceOf(GuardRefused);
    expect([refusals, asked]).toEqual([0, 5]);
  });
});

describe('an alert that waits', () => {
  it('becomes the lead’s when the clinic’s hours are over, and not a moment before', async () => {
    const id = await makePatient(stage.practitioner);
    const { clinicId } = stage.practitioner;
    const began = instant(Date.now());
    const alert = { clinicId, patientId: id, kind: 'stopped for a symptom' as const };
    await write(() => [insertAlert({ ...alert, id: randomUUID(), createdAt: began })]);
    const hours = TRIAGE_LIMITS.escalateHours;
    setClock(() => instant(began + hours * HOUR_MS - 1000));
    await escalate(clinicId);
    expect((await openAlertsOf(clinicId, [id]))[0]?.escalatedAt).toBeNull();
    setClock(() => instant(began + hours * HOUR_MS + 1000));
    expect(await alertsToEscalate(clinicId, instant(began + 1000))).toHaveLength(1);
    await escalate(clinicId);
    expect((await openAlertsOf(clinicId, [id]))[0]?.escalatedAt).not.toBeNull();
  });
});

describe('what belongs to another patient, or is of another kind', () => {
  it('is neither superseded nor taken out', async () => {
    const [id, other] = [
      await makePatient(stage.practitioner),
      await makePatient(stage.practitioner),
    ];
    const goal = (patientId: string, supersedes: string | null, entryId = randomUUID()) => ({
      id: entryId,
      patientId,
      kind: 'goal' as const,
      supersedes,
      on: today(),
      body: { activity: 'row', by: null, reachedOn: null },
    });
    const [own, first] = [randomUUID(), randomUUID()];
    await saveEntry(stage.practitioner, goal(id, null, own));
    await saveEntry(stage.practitioner, goal(other, null, first));
    await expect(saveEntry(stage.practitioner, goal(id, first))).rejects.toMatchObject({
      status: 404,
    });
    await expect(
      saveEntry(stage.practitioner, {
        ...goal(id, own),
        kind: 'photo-request',
        body: { note: '' },
      }),
    ).rejects.toMatchObject({ status: 404 });
    await saveEntry(stage.practitioner, goal(id, own));
    const turn = measure({});
    await saveMeasurements(stage.practitioner, { patientId: other, measurements: [turn] });
    const out = { id: randomUUID(), patientId: id, supersedes: turn.id, note: 'wrong' };
    await expect(withdrawMeasurement(stage.assistant, out)).rejects.toMatchObject({ status: 404 });
    await withdrawMeasurement(stage.assistant, { ...out, patientId: other });
  });
});

it('an answer to a referral is of a day from the letter’s own to today', async () => {
  const id = await makePatient(stage.practitioner);
  const draft = screening(id, ['clumsy-hands']);
  await saveScreening(stage.practitioner, draft);
  const referralId = randomUUID();
  const letter = { id: referralId, patientId: id, screeningId: draft.id, to: 'Dr', text: 'x' };
  await saveReferral(stage.practitioner, letter);
  const answer = (days: number) =>
    answerReferral(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      referralId,
      text: 'x',
      answeredOn: today(days),
    });
  await expect(answer(1)).rejects.toMatchObject({ status: 400 });
  await expect(answer(-1)).rejects.toMatchObject({ status: 400 });
  await answer(0);
});

it('of two lines that say they continue one, the first does', async () => {
  const id = await makePatient(stage.practitioner);
  const tuck = { exerciseId: 'tuck-lying', dose: '10x10s' };
  await prescribe(stage.practitioner, id, [tuck]);
  const lines = async () =>
    ((await versionsOf(stage.practitioner.clinicId, [id])).get(id) ?? []).at(-1)?.lines ?? [];
  const [first] = await lines();
  const lineage = first?.lineage ?? null;
  await prescribe(
    stage.practitioner,
    id,
    [
      { ...tuck, lineage },
      { ...tuck, lineage },
    ],
    { basedOn: 1 },
  );
  const [one, two] = await lines();
  expect(one?.lineage).toBe(lineage);
  expect(two?.lineage).not.toBe(lineage);
});

it.each([
  [17, false, false],
  [17, true, true],
  [18, false, true],
])('at %d a guardian consents: told so (%s), it is kept (%s)', async (age, minor, kept) => {
  const id = await makePatient(stage.practitioner);
  await saveScreening(stage.practitioner, { ...screening(id, []), age });
  const agreed = consent(stage.practitioner, id, { minor, guardian: minor ? 'A parent' : '' });
  if (kept) await agreed;
  else await expect(agreed).rejects.toMatchObject({ status: 400, at: ['body', 'minor'] });
});

describe('a pause of the patient’s own', () => {
  it('begins a week back at the earliest, and lasts sixty days at the longest', async () => {
    const here = await device(stage.practitioner, await makePatient(stage.practitioner));
    const pause = (from: number, days: number) =>
      pauseMyself(here, {
        id: randomUUID(),
        from: today(from),
        to: addDays(today(from), days),
        reason: 'ill',
      });
    await expect(pause(-8, 1)).rejects.toMatchObject({ at: ['from'] });
    await expect(pause(0, 61)).rejects.toMatchObject({ at: ['to'] });
    await pause(-7, 7);
    await pause(1, 60);
    expect(await pausesOf(stage.practitioner.clinicId, [here.id])).toHaveLength(2);
  });

  it('is told at the head of the file until its last day is over', async () => {
    const id = await makePatient(stage.practitioner);
    const here = await device(stage.practitioner, id);
    await pauseMyself(here, { id: randomUUID(), from: today(-3), to: today(), reason: 'ill' });
    const head = async () => fileHeader(stage.practitioner, await patientOf(stage, id));
    expect((await head()).ownPause).toMatchObject({ reason: 'ill', to: today() });
    setClock(() => instant(Date.now() + 24 * HOUR_MS));
    expect((await head()).ownPause).toBeNull();
  });
});

it('where the clinic keeps no date of birth there is nothing to prove', async () => {
  const here = await device(stage.practitioner, await makePatient(stage.practitioner));
  expect(await checkBirth(here, '1970-01-01')).toBe('');
  expect(await mayHistory(here, undefined)).toBe(true);
});

it('a note tells the spread of several trials, and of one there is none', async () => {
  const id = await makePatient(stage.practitioner);
  await saveMeasurements(stage.practitioner, {
    patientId: id,
    measurements: [measure({ trials: [60] }), measure({ side: 'right', trials: [50, 52] })],
  });
  const { objective } = await draftNote(await patientOf(stage, id), 'Neck');
  expect(objective).toMatch(/Neck turn left: 60°$/m);
  expect(objective).toMatch(/Neck turn right: 51° \(trials 50, 52\)/);
});

it('a row put aside again under the same id is the same mark, and for other days another', async () => {
  const patientId = await makePatient(stage.practitioner);
  const mark = {
    id: randomUUID(),
    patientId,
    kind: 'snoozed',
    rule: 'x',
    days: 2,
    reason: 'away',
  } as const;
  await markTriage(stage.practitioner, mark);
  await markTriage(stage.practitioner, mark);
  await expect(markTriage(stage.practitioner, { ...mark, days: 3 })).rejects.toThrow(
    'already there',
  );
});

describe('the rows of the morning list', () => {
  const rows = async (clinicId: string) => {
    const levels = [0, 1, 2, 3, 4, 5, null];
    const asked = { clinicId, search: '', practitioners: null, page: 1 };
    const found = await Promise.all(levels.map((level) => triageRowsOf({ ...asked, level })));
    return found.flat().map(({ staleAt }) => staleAt as number);
  };
  it('hold until something changes, or for a minute where others write all the time', async () => {
    const by = await member((await makeClinic('quiet', ownDomain())).emails.practitioner);
    await makePatient(by, 'Wren Tarbuck');
    // In the morning: at midnight every row is reckoned anew.
    const at = instantAt(ZONE, today(), minute(600));
    setClock(() => at);
    expect(await refreshTriage(by.clinicId)).toBe(0);
    const [quiet = 0] = await rows(by.clinicId);
    expect(quiet).toBeGreaterThan(at + 10 * 60_000);
    await makePatient(by, 'Linnet Marlow');
    [refusals, guardName, asked] = [4, 'triage', 0];
    expect(await refreshTriage(by.clinicId)).toBe(0);
    expect(asked).toBe(5);
    const least = Math.min(...(await rows(by.clinicId)));
    expect(least).toBe(at + 60_000);
  });
});

describe('a programme that is sent', () => {
  it('is refused with its line named: a direction that is not the exercise’s, a flag without its own reason', async () => {
    const { practitioner } = stage;
    const id = await makePatient(practitioner);
    await saveScreening(practitioner, screening(id, []));
    const sent = (line: Parameters<typeof prescribe>[2][number]) =>
      prescribe(practitioner, id, [{ exerciseId: 'tuck-lying', dose: '10x10s' }, line]);
    await expect(sent({ exerciseId: 'tuck-lying', dose: '10x10s fwd,back' })).rejects.toMatchObject(
      { status: 400, at: ['lines', 1, 'dose'] },
    );
  });

  it('waits for an episode of care that is open', async () => {
    const { practitioner } = stage;
    const id = await makePatient(practitioner);
    const line = { exerciseId: 'tuck-lying', dose: '10x10s' };
    await prescribe(practitioner, id, [line]);
    const [only] = await episodesOf(practitioner.clinicId, id);
    await write(() => [closeEpisode(practitioner.clinicId, only?.id ?? '', today())]);
    await expect(prescribe(practitioner, id, [line], { basedOn: 1 })).rejects.toMatchObject({
      status: 409,
      say: 'The episode of care is closed; open a new one first.',
    });
  });
});

it('rows that are left when the time is over are counted, those of nobody yet among them', async () => {
  const { practitioner: by } = stage;
  const before = await refreshTriage(by.clinicId, { chunk: 50, milliseconds: -1 });
  await makePatient(by, 'Left One');
  await makePatient(by, 'Left Two');
  expect(await refreshTriage(by.clinicId, { chunk: 50, milliseconds: -1 })).toBe(before + 2);
  expect(await refreshTriage(by.clinicId)).toBe(0);
});

it('no photos have no markings', async () => {
  expect(await markingsOf(stage.practitioner.clinicId, [])).toEqual([]);
});

it('a pressure measured elsewhere stands on the Screen step, whatever else was measured since', async () => {
  const id = await makePatient(stage.practitioner);
  const pressure = measure({
    kind: 'blood-pressure',
    side: null,
    trials: [],
    body: { form: 'pressure', systolic: 131, diastolic: 84 },
  });
  await saveMeasurements(stage.practitioner, { patientId: id, measurements: [pressure] });
  await saveMeasurements(stage.practitioner, { patientId: id, measurements: [measure({})] });
  const step = await screenStep(stage.practitioner, await patientOf(stage, id), 'Neck');
  expect(step.pressure).toEqual({ systolic: 131, diastolic: 84 });
});

it('a list of exercises that cannot be taken names its rows as they are counted in its file', async () => {
  const problemsOf = async (format: 'csv' | 'json', text: string) =>
    (await importExercises(stage.practitioner, { format, text })).problems.map(({ row }) => row);
  expect(await problemsOf('json', '[{"name":""}]')).toContain(1);
  expect(await problemsOf('json', '{}')).toEqual([1]);
  expect(await problemsOf('json', 'no list')).toEqual([1]);
  expect(await problemsOf('csv', 'name\nx')).toEqual([1]);
  const heading = EXERCISE_COLUMNS.join(',');
  const blank = ','.repeat(EXERCISE_COLUMNS.length - 1);
  expect(await problemsOf('csv', `${heading}\n${blank}x\nshort,row`)).toEqual([3]);
  expect(await problemsOf('csv', `${heading}\n${blank}x`)).toContain(2);
});

it('a row of a review says what was measured, and a dash for what was not', () => {
  const how = {
    kind: 'neck-turn',
    side: 'left',
    position: 'sitting',
    instrument: 'inclinometer',
  } as const;
  const measured = (value: number | null) => ({
    ...how,
    id: 'a',
    value,
    on: today(),
    at: 0 as Instant,
  });
  const row = (first: number | null, last: ReturnType<typeof measured> | null): ReviewRow => ({
    ...how,
    first: measured(first),
    last,
    change: null,
    doneToday: false,
    otherwise: false,
  });
  const name = 'Neck turn, left';
  const said = `60° (${shortDay(today())})`;
  expect(rowInWords(row(60, null))).toMatchObject({ name, first: said, last: '–' });
  expect(rowInWords(row(null, measured(60)))).toMatchObject({ name, first: '–', last: said });
});

it('a teaching is signed for the very version that was taught', async () => {
  const id = await makePatient(stage.practitioner);
  await prescribe(stage.practitioner, id, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const { version, pages } = await teachStep(stage.practitioner, await patientOf(stage, id));
  if (!version || !pages[0]) throw new Error('nothing to teach');
  const teaching = {
    id: randomUUID(),
    patientId: id,
    programmeId: version.programmeId,
    version: version.number,
    lines: [untaught(pages[0].lineage)],
    closing: { doseSaidAgain: true, dayToComeBack: true },
  };
  for (const wrong of [{ version: 2 }, { programmeId: randomUUID() }])
    await expect(signTeaching(stage.practitioner, { ...teaching, ...wrong })).rejects.toMatchObject(
      { status: 409 },
    );
  await expect(
    signTeaching(stage.practitioner, { ...teaching, lines: [untaught(randomUUID())] }),
  ).rejects.toMatchObject({ status: 409 });
  await signTeaching(stage.practitioner, teaching);
});
