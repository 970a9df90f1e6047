import { randomUUID } from 'node:crypto';
import type { EpisodeId, PatientId } from '@/core/units';
import { daysDone, episodesOf, versionsOf } from '@/db';
import {
  checkAtHand,
  followedEpisode,
  measuresFor,
  openEpisodes,
  takeInHand,
} from '@/server/at-hand';
import { openAnother } from '@/server/episodes';
import { signLetter } from '@/server/follow/letter';
import { followOf } from '@/server/follow/strips';
import { triageRows } from '@/server/follow/triage';
import { patientPack } from '@/server/patient-pack';
import { saveProgramme } from '@/server/save-programme';
import { takeIn } from '@/server/take-in';
import { saveTold } from '@/server/told';
import { fileOf, saveEntry } from '@/server/visit/entries';
import { handoutOf } from '@/server/visit/handout';
import { measuresOf, saveMeasurements } from '@/server/visit/measuring';
import { screeningState } from '@/server/visit/screening';
import { stepsToday, summaryOf } from '@/server/visit/summary';
import { keepVisitDraft } from '@/server/visit/visit-drafts';
import { device, makePatient, prescribe, screened, today } from '../support/clinic';
import { databaseStage, patientOf } from '../support/stage';

/** Two complaints of one person, treated at the same time. */
const stage = databaseStage('two complaints');
const open = (patientId: PatientId, complaint: string, by = stage.practitioner) =>
  openAnother(by, { id: randomUUID(), patientId, complaint, area: 'back' });

/** A patient with a programme for the neck, who comes with the low back as well. */
async function twoOf(name: string) {
  const by = stage.practitioner;
  const id = await makePatient(by, name);
  await prescribe(by, id, [{ exerciseId: 'tuck-lying', dose: '10x10s daily' }]);
  await open(id, 'Low back');
  await screened(by, id);
  const patient = await patientOf(stage, id);
  const [back, neck] = await episodesOf(patient.clinicId, id);
  if (!back || !neck) throw new Error('two episodes');
  const inHand = (one: { readonly id: EpisodeId }) =>
    takeInHand(by, { patientId: id, episodeId: one.id });
  return { by, id, patient, back, neck, inHand };
}

const linesOf = async (clinicId: string, id: PatientId) =>
  ((await versionsOf(clinicId, [id])).get(id) ?? []).at(-1)?.lines ?? [];

/** The newest lines as they stand, with one more. */
async function alsoPrescribe(
  { by, id, patient }: Awaited<ReturnType<typeof twoOf>>,
  exerciseId: string,
  episodeId: EpisodeId | null = null,
) {
  const rows = (await versionsOf(patient.clinicId, [id])).get(id) ?? [];
  await saveProgramme(by, {
    patientId: id,
    basedOn: rows.length,
    effectiveFrom: today(),
    reviewOn: null,
    rounds: 1,
    reason: '',
    lines: [
      ...(rows.at(-1)?.lines ?? []).map(({ lineage, exerciseId: known, dose }) => ({
        lineage,
        exerciseId: known,
        dose,
      })),
      { lineage: null, exerciseId, dose: '10x10s daily', episodeId },
    ],
  });
}

describe('two complaints at once', () => {
  it('are open beside each other; who opened the second goes on with it, everybody else chooses', async () => {
    const { by, id, back, neck, inHand } = await twoOf('Two Open');
    expect((await openEpisodes(by, id)).map((one) => one.id)).toEqual([back.id, neck.id]);
    await inHand(neck);
    expect((await openEpisodes(by, id)).map((one) => one.id)).toEqual([neck.id, back.id]);
    // The choice is one member's own.
    expect((await openEpisodes(stage.lead, id))[0]?.id).toBe(back.id);
    await expect(takeInHand(by, { patientId: id, episodeId: randomUUID() })).rejects.toMatchObject({
      status: 404,
    });
  });

  it('are four at most', async () => {
    const { id } = await twoOf('Four Open');
    await open(id, 'Knee');
    await open(id, 'Foot');
    await expect(open(id, 'Jaw')).rejects.toMatchObject({ status: 409 });
  });

  it('take what is written where it was at hand, and what puts it right stays there', async () => {
    const { by, id, patient, back, neck, inHand } = await twoOf('Two Files');
    const goal = (activity: string, supersedes: string | null = null) => {
      const entry = randomUUID();
      return saveEntry(by, {
        id: entry,
        patientId: id,
        kind: 'goal',
        supersedes,
        on: today(),
        body: { activity, by: null, reachedOn: null },
      }).then(() => entry);
    };
    const lifting = await goal('Lift the nets');
    await inHand(neck);
    await goal('Look over the shoulder');
    await goal('Lift the wet nets', lifting);
    const goals = (await fileOf(patient)).goals.map(({ body, episodeId }) => [
      body.activity,
      episodeId,
    ]);
    expect(new Map(goals as [string, string][])).toEqual(
      new Map([
        ['Look over the shoulder', neck.id],
        ['Lift the wet nets', back.id],
      ]),
    );
    expect((await summaryOf(by, patient, null)).goals).toMatchObject([
      { activity: 'Look over the shoulder' },
    ]);
    expect((await summaryOf(by, patient, back.id)).goals).toMatchObject([
      { activity: 'Lift the wet nets' },
    ]);
    // What is a goal of both is no complaint's alone.
    await goal('Lift the wet nets');
    await goal('Row home');
    expect((await followedEpisode(by, patient)).notOwn).toEqual(new Set());
    await inHand(back);
    expect((await followedEpisode(by, patient)).notOwn).toEqual(
      new Set(['Look over the shoulder', 'Row home']),
    );
  });

  it('are screened as one person, whichever is at hand', async () => {
    const { by, id, patient, neck, back, inHand } = await twoOf('Two Screened');
    await inHand(neck);
    await open(id, 'Knee');
    expect((await screeningState(patient)).screened).toBe('new episode');
    await inHand(neck);
    await screened(by, id);
    expect((await screeningState(patient)).screened).toBe('current');
    expect(await stepsToday(by, patient)).toContain('screen');
    await inHand(back);
    expect(await stepsToday(by, patient)).toContain('screen');
  });

  it('are not changed over while something is begun for the one at hand', async () => {
    const { by, id, neck, back, inHand } = await twoOf('Two Drafts');
    const keep = (body: string | null) => keepVisitDraft(by, { patientId: id, kind: 'note', body });
    await keep('{}');
    await expect(inHand(neck)).rejects.toMatchObject({
      status: 409,
      say: expect.stringContaining('You have begun a note for “Low back”.') as string,
    });
    await inHand(back);
    await expect(open(id, 'Knee')).rejects.toMatchObject({ status: 409 });
    await keep(null);
    await inHand(neck);
    expect((await openEpisodes(by, id))[0]?.id).toBe(neck.id);
  });

  it('refuse a page that shows the other one', async () => {
    const { by, id, neck, back, inHand } = await twoOf('Two Windows');
    const page = (header: string | null, about = id) => checkAtHand(by, about, header);
    await expect(page(`${id} ${back.id}`)).resolves.toBeUndefined();
    await expect(page(null)).resolves.toBeUndefined();
    // What is about somebody else is none of it.
    await expect(page(`${id} ${neck.id}`, randomUUID())).resolves.toBeUndefined();
    await expect(page(`${id} ${neck.id}`)).rejects.toMatchObject({
      status: 409,
      say: expect.stringContaining('“Low back”') as string,
    });
    await inHand(neck);
    await expect(page(`${id} ${back.id}`)).rejects.toMatchObject({ status: 409 });
    await expect(page('anything')).rejects.toMatchObject({ status: 400 });
  });

  it('stand in one programme, each line for its own', async () => {
    const two = await twoOf('Two Lines');
    const { patient, id, by, neck, back, inHand } = two;
    await alsoPrescribe(two, 'bridge');
    const of = async () =>
      (await linesOf(patient.clinicId, id)).map((line) => [line.exerciseId, line.episodeId]);
    expect(await of()).toEqual([
      ['tuck-lying', neck.id],
      ['bridge', back.id],
    ]);
    // The desk says it itself; one that is not the patient's own is not taken.
    await alsoPrescribe(two, 'front-plank', neck.id);
    await inHand(neck);
    await alsoPrescribe(two, 'side-plank', randomUUID());
    expect((await of()).slice(2)).toEqual([
      ['front-plank', neck.id],
      ['side-plank', neck.id],
    ]);
    const pack = await patientPack(await device(by, id));
    expect(pack.lines.map((line) => line.complaint)).toEqual([
      neck.complaint,
      'Low back',
      neck.complaint,
      neck.complaint,
    ]);
    expect(pack.questions.complaints).toEqual([
      { id: neck.id, name: neck.complaint },
      { id: back.id, name: 'Low back' },
    ]);
    const paper = await handoutOf(patient, 'https://clinic.example');
    expect(paper?.exercises.map((one) => one.complaint)).toContain('For: Low back');
  });

  it('have a course of their own each, by phone and as written down', async () => {
    const two = await twoOf('Two Courses');
    const { by, id, patient, neck, back, inHand } = two;
    await alsoPrescribe(two, 'bridge');
    const [version] = ((await versionsOf(patient.clinicId, [id])).get(id) ?? []).slice(-1);
    const here = await device(by, id);
    const at = Date.now() - 10;
    await takeIn(here, {
      sentAt: at,
      events: [
        {
          id: randomUUID(),
          sessionId: randomUUID(),
          sessionKey: 'day',
          programmeId: version?.version.programmeId ?? '',
          version: version?.version.number ?? 0,
          deviceAt: at,
          offsetMs: 0,
          body: {
            type: 'daily',
            date: today(),
            // Never less than that of one complaint, whatever a phone says.
            worst: 2,
            worstOf: [
              { episodeId: neck.id, worst: 2 },
              { episodeId: back.id, worst: 7 },
            ],
            where: [],
            headache: null,
            note: '',
          },
        },
      ],
    });
    const pain = async () =>
      (await followOf(by, patient)).followed
        .filter(({ id: what }) => what === 'pain')
        .flatMap(({ readings }) => readings.map(({ value }) => value));
    expect(await pain()).toEqual([7]);
    await inHand(neck);
    expect(await pain()).toEqual([2]);
    const [row] = await triageRows(patient.clinicId, [patient]);
    expect(row?.body).toMatchObject({ complaint: `Low back · ${neck.complaint}` });
    await saveTold(by, {
      id: randomUUID(),
      patientId: id,
      date: today(),
      at: Date.now(),
      how: 'call',
      lines: [],
      pain: null,
      worst: null,
      worstOf: [{ episodeId: neck.id, worst: 4 }],
      morning: null,
      wrong: null,
      note: '',
    });
    expect(await pain()).toEqual([4]);
    await inHand(back);
    expect(await pain()).toEqual([7]);
    // What is safe is asked of the worst of all.
    const [day] = await daysDone(patient.clinicId, [id], today(), today());
    expect(day?.report.worst).toBe(7);
  });

  it('end one by one, and measures stay with their own', async () => {
    const two = await twoOf('Two Ends');
    const { by, id, patient, neck, back, inHand } = two;
    const measured = (value: number) =>
      saveMeasurements(by, {
        patientId: id,
        measurements: [
          {
            id: randomUUID(),
            kind: 'neck-turn',
            side: 'left',
            position: 'sitting',
            instrument: 'inclinometer',
            trials: [value],
            body: null,
            note: '',
            painAtEnd: null,
            chinJut: false,
            retest: null,
            supersedes: null,
          },
        ],
      } as never);
    await measured(12);
    await inHand(neck);
    await measured(20);
    const values = async () =>
      measuresFor(await measuresOf(patient), await followedEpisode(by, patient)).map(
        ({ value }) => value,
      );
    expect(await values()).toEqual([20]);
    await inHand(back);
    expect(await values()).toEqual([12]);
    const letter = { patientId: id, kind: 'discharge', words: '', forReferrer: false } as const;
    await signLetter(by, { id: randomUUID(), ...letter });
    const after = await openEpisodes(by, id);
    expect(after.map((one) => one.id)).toEqual([neck.id]);
    expect((await linesOf(patient.clinicId, id)).map(({ episodeId }) => episodeId)).toEqual([
      neck.id,
    ]);
    await signLetter(by, { id: randomUUID(), ...letter });
    expect(await openEpisodes(by, id)).toEqual([]);
  });
});

it('of a visit, what was screened counts for both complaints, and what was written for its own', async () => {
  const { by, patient, neck, back, inHand } = await twoOf('Steps Two');
  // The programme was written for the neck before the low back came.
  await inHand(neck);
  expect(await stepsToday(by, patient)).toEqual(expect.arrayContaining(['screen', 'plan']));
  await inHand(back);
  const done = await stepsToday(by, patient);
  expect(done).toContain('screen');
  expect(done).not.toContain('plan');
});
