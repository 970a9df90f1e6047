import { eventOf } from '../support/record';
import type { SessionEventBody } from '@/core/adherence';
import { randomUUID } from 'node:crypto';
import { addDays } from '@/core/units';
import {
  closeEpisode,
  episodesOf,
  guard,
  insertAlert,
  insertEpisode,
  standingIs,
  versionsOf,
  write,
} from '@/db';
import { now, setClock } from '@/server/clock';
import { noteStep } from '@/server/visit/note';
import { saveProgramme } from '@/server/save-programme';
import type { Problem } from '@/server/problem';
import { takeIn } from '@/server/take-in';
import { saveEntry } from '@/server/visit/entries';
import { saveMeasurements } from '@/server/visit/measuring';
import { saveOwnScreening, saveScreening, screeningState } from '@/server/visit/screening';
import { device, makePatient, today } from '../support/clinic';
import { databaseStage, measure, patientOf, screening } from '../support/stage';

const stage = databaseStage('screened');
afterEach(() => setClock(null));

/** Sends a programme without screening first. */
const send = (patientId: string, basedOn = 0) =>
  saveProgramme(stage.practitioner, {
    patientId,
    basedOn,
    effectiveFrom: addDays(today(), 1),
    reviewOn: null,
    rounds: 1,
    reason: '',
    lines: [{ lineage: null, exerciseId: 'tuck-lying', dose: '10x10s' }],
  });
const numberOfVersions = async (id: string) =>
  (await versionsOf(stage.practitioner.clinicId, [id])).get(id)?.length ?? 0;
const standing = async (id: string) => (await screeningState(await patientOf(stage, id))).screened;

async function refuses(id: string, words: RegExp, basedOn = 0) {
  const before = await numberOfVersions(id);
  const refused = await send(id, basedOn).catch((problem: unknown) => problem);
  expect(refused).toMatchObject({ status: 409 });
  expect((refused as Problem).say).toMatch(words);
  expect(await numberOfVersions(id)).toBe(before);
}

const onPaper = (
  patientId: string,
  change: { on?: ReturnType<typeof today>; screenedOn?: ReturnType<typeof today> } = {},
) => ({
  id: randomUUID(),
  patientId,
  kind: 'screened-on-paper' as const,
  supersedes: null,
  on: change.on ?? today(),
  body: {
    why: 'Screened at the hospital, form in the drawer',
    screenedOn: change.screenedOn ?? today(-2),
  },
});

describe('sending stops', () => {
  it('for a patient nobody has screened, until a practitioner confirms a screening', async () => {
    const id = await makePatient(stage.practitioner);
    await refuses(id, /Not screened yet.*lines are kept/);
    await saveScreening(stage.assistant, screening(id, []));
    await refuses(id, /wait for a practitioner/);
    await saveScreening(stage.practitioner, screening(id, []));
    await send(id);
    expect(await numberOfVersions(id)).toBe(1);
  });

  it('for one that is not finished', async () => {
    const id = await makePatient(stage.practitioner);
    await saveScreening(stage.practitioner, screening(id, ['nausea']));
    await refuses(id, /not finished/);
  });

  it('for one older than the clinic lets it stand, while the programme at home goes on', async () => {
    const id = await makePatient(stage.practitioner);
    await saveScreening(stage.practitioner, screening(id, []));
    await send(id);
    const later = Date.now() + 91 * 86_400_000;
    setClock(() => later);
    expect(await standing(id)).toBe('old');
    await refuses(id, /older than the clinic/, 1);
    expect(await numberOfVersions(id)).toBe(1);
  });

  it.each<[string, SessionEventBody]>([
    ['a sign to stop', { type: 'stopped', because: 'symptom' }],
    [
      'a fall that the patient tells of',
      {
        type: 'report',
        lineage: null,
        report: { complaint: 'fall or blow', severity: 0, compared: 'new', furthest: null },
        advice: 'stop and call',
      },
    ],
  ])(
    'after %s, whoever has taken the alert, until the patient is screened again',
    async (_, body) => {
      const id = await makePatient(stage.practitioner);
      await saveScreening(stage.practitioner, screening(id, []));
      await send(id);
      await takeIn(await device(stage.practitioner, id), {
        sentAt: Date.now(),
        events: [eventOf(body)],
      });
      await refuses(id, /sign to stop or an injury/, 1);
      await saveScreening(stage.practitioner, screening(id, []));
      await send(id, 1);
    },
  );

  it('after an injury written into the file', async () => {
    const id = await makePatient(stage.practitioner);
    await saveScreening(stage.practitioner, screening(id, []));
    await saveEntry(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      kind: 'care',
      supersedes: null,
      on: today(),
      body: { kind: 'injury', what: 'Fell off the quay' },
    });
    expect(await standing(id)).toBe('danger since');
    await refuses(id, /sign to stop or an injury/);
  });

  it('for the patient’s own newer answers that would forbid exercise', async () => {
    const id = await makePatient(stage.practitioner);
    await saveScreening(stage.practitioner, screening(id, []));
    const own = screening(id, ['saddle-numbness']);
    await saveOwnScreening(await device(stage.practitioner, id), {
      id: own.id,
      answers: own.answers,
      age: own.age,
    });
    await refuses(id, /Answers wait for a practitioner/);
  });

  it('in a new episode', async () => {
    const id = await makePatient(stage.practitioner);
    const { clinicId } = stage.practitioner;
    await saveScreening(stage.practitioner, screening(id, []));
    const patient = await patientOf(stage, id);
    const [only] = await episodesOf(clinicId, patient.id);
    await write(() => [
      closeEpisode(clinicId, only?.id ?? '', today()),
      insertEpisode({
        clinicId,
        id: randomUUID(),
        patientId: patient.id,
        complaint: 'Back again',
        openedOn: today(),
        closedOn: null,
      }),
    ]);
    expect(await standing(id)).toBe('new episode');
    await refuses(id, /earlier episode/);
    await saveEntry(stage.practitioner, onPaper(id));
    await send(id);
  });

  it('when a danger is told between the look and the write', async () => {
    const id = await makePatient(stage.practitioner);
    const { clinicId } = stage.practitioner;
    await saveScreening(stage.practitioner, screening(id, []));
    const patient = await patientOf(stage, id);
    const { stamp } = await screeningState(patient);
    const same = () => write(() => [guard('screened', standingIs(clinicId, patient.id, stamp))]);
    await same();
    const alert = { clinicId, patientId: patient.id, createdAt: now() };
    await write(() => [insertAlert({ ...alert, id: 'a', kind: 'conflicting log' as const })]);
    await same();
    await write(() => [insertAlert({ ...alert, id: 'b', kind: 'new weakness' as const })]);
    await expect(same()).rejects.toMatchObject({ guard: 'screened' });
  });
});

describe('a reason written by a practitioner', () => {
  it('stands in for a missing screening until the next visit, and the note says so', async () => {
    const id = await makePatient(stage.practitioner);
    await expect(saveEntry(stage.assistant, onPaper(id))).rejects.toMatchObject({
      guard: 'access',
    });
    await expect(
      saveEntry(stage.practitioner, onPaper(id, { screenedOn: today(1), on: today() })),
    ).rejects.toMatchObject({ at: ['body', 'screenedOn'] });
    await expect(
      saveEntry(stage.practitioner, onPaper(id, { on: today(-1) })),
    ).rejects.toMatchObject({ at: ['on'] });
    await refuses(id, /Not screened yet/);
    await saveEntry(stage.practitioner, onPaper(id));
    await send(id);
    const { draft } = await noteStep(stage.practitioner, await patientOf(stage, id), 'Neck');
    expect(draft.objective).toContain('Screened on paper on');
    // Another day on which something of the clinic is written is another visit.
    const later = Date.now() + 2 * 86_400_000;
    setClock(() => later);
    expect(await standing(id)).toBe('on paper');
    await saveMeasurements(stage.practitioner, { patientId: id, measurements: [measure({})] });
    await refuses(id, /Not screened yet/, 1);
  });

  it('lifts no answers that forbid, no unfinished ones, and no danger since', async () => {
    const blocked = await makePatient(stage.practitioner);
    await saveScreening(stage.practitioner, screening(blocked, ['fever']));
    await saveEntry(stage.practitioner, onPaper(blocked));
    await expect(send(blocked)).rejects.toMatchObject({ guard: 'screening' });
    const open = await makePatient(stage.practitioner);
    await saveScreening(stage.practitioner, screening(open, ['nausea']));
    await saveEntry(stage.practitioner, onPaper(open));
    await refuses(open, /not finished/);
    const hurt = await makePatient(stage.practitioner);
    await saveEntry(stage.practitioner, onPaper(hurt));
    const { clinicId } = stage.practitioner;
    const patient = await patientOf(stage, hurt);
    await write(() => [
      insertAlert({
        clinicId,
        id: randomUUID(),
        patientId: patient.id,
        kind: 'new weakness' as const,
        createdAt: (now() + 1000) as ReturnType<typeof now>,
      }),
    ]);
    await refuses(hurt, /sign to stop/);
  });
});

it('a step that slides away makes a precaution of itself until it is felt to move back', async () => {
  const id = await makePatient(stage.practitioner);
  await saveScreening(stage.practitioner, screening(id, ['latex']));
  const feel = async (option: string) => {
    const step = {
      kind: 'step-feel' as const,
      side: null,
      instrument: 'examination' as const,
      trials: [],
      body: { form: 'choice' as const, option },
    };
    await saveMeasurements(stage.practitioner, { patientId: id, measurements: [measure(step)] });
    return (await screeningState(await patientOf(stage, id))).precautions;
  };
  expect(await feel('slides away')).toEqual(['latex', 'instability']);
  expect(await feel('moves into the finger')).toEqual(['latex']);
});
