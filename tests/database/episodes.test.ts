import { randomUUID } from 'node:crypto';
import { addDays } from '@/core/units';
import { eq } from 'drizzle-orm';
import { AlreadyThere, comesForOf, correctionsOf, episodesOf, write } from '@/db';
import { episode } from '@/db/schema';
import { setClock } from '@/server/clock';
import { findPatients } from '@/server/details';
import { correctComplaint, openAnother } from '@/server/episodes';
import { signLetter } from '@/server/follow/letter';
import { followOf } from '@/server/follow/strips';
import { addPatient } from '@/server/people';
import { saveEntry, withdrawEntry } from '@/server/visit/entries';
import { stepsToday, summaryOf } from '@/server/visit/summary';
import { makePatient, newPatient, prescribe, today } from '../support/clinic';
import { sentTo } from '../support/desk';
import { DAY_MS, beginLife, liveOn } from '../support/life';
import { databaseStage, patientOf } from '../support/stage';

/** Episodes one after another, and the first view of a file. */
const stage = databaseStage('episodes');
const add = async (name: string, change: object = {}) =>
  (await addPatient(stage.practitioner, { ...newPatient(name), ...change })).id;
const found = async (typed: string) =>
  (await findPatients(stage.practitioner, typed)).map(({ name }) => name);

const discharge = (patientId: string) =>
  signLetter(stage.practitioner, {
    id: randomUUID(),
    patientId,
    kind: 'discharge',
    words: '',
    forReferrer: false,
  } as never);

describe('what a file shows first', () => {
  it('is the day of the programme and how it is done, from its first day on', async () => {
    setClock(() => Date.now() - 2 * DAY_MS);
    const id = await add('Third Day', { complaint: 'Neck', area: 'neck' });
    const patient = await patientOf(stage, id);
    const shown = () => summaryOf(stage.practitioner, patient, null);
    expect(await shown()).toMatchObject({ daysIn: null, doing: null, helping: null });
    await prescribe(stage.practitioner, id, [
      { exerciseId: 'tuck-lying', dose: '3x10 2/day daily' },
    ]);
    setClock(null);
    const { daysIn, doing } = await shown();
    expect(daysIn).toBe(3);
    expect(doing).toMatch(/^Nothing told of \d sessions in the last 3 days\.$/);
  });
});

describe('episodes', () => {
  it('follow each other, and the earlier ones stay to read', async () => {
    const id = await add('Returning Patient', { complaint: 'Neck', area: 'neck' });
    const another = () =>
      openAnother(stage.practitioner, {
        id: randomUUID(),
        patientId: id,
        complaint: 'Low back',
        area: 'back',
      } as never);
    await saveEntry(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      kind: 'goal',
      supersedes: null,
      on: today(),
      body: { activity: 'Row to the skerry', by: null, reachedOn: null },
    } as never);
    await discharge(id);
    await another();
    const patient = await patientOf(stage, id);
    const [second, first] = await episodesOf(patient.clinicId, patient.id);
    expect([second?.complaint, first?.complaint]).toEqual(['Low back', 'Neck']);
    const now = await summaryOf(stage.practitioner, patient, null);
    expect(now).toMatchObject({ isOpen: true, goals: [], episode: { complaint: 'Low back' } });
    const then = await summaryOf(stage.practitioner, patient, first?.id ?? '');
    expect(then).toMatchObject({
      isOpen: false,
      goals: [{ activity: 'Row to the skerry' }],
      episode: { complaint: 'Neck', closedOn: today() },
    });
    expect(then.timeline[0]?.deeds).toEqual(expect.arrayContaining(['asked', 'wrote a letter']));
    // What was is not put right any more.
    await expect(
      correctComplaint(stage.practitioner, {
        id: randomUUID(),
        patientId: id,
        episodeId: first?.id,
        complaint: 'x',
        area: null,
        was: { complaint: 'Neck', area: 'neck' },
      } as never),
    ).rejects.toMatchObject({ status: 409 });
    expect(await found('neck returning')).toEqual(['Returning Patient']);
  });

  it('a line that goes on from an earlier episode is for the complaint that is treated now', async () => {
    const id = await add('Returning Line', { complaint: 'Neck', area: 'neck' });
    const line = { exerciseId: 'tuck-lying', dose: '10x10s daily' };
    await prescribe(stage.practitioner, id, [line]);
    const sent = async () => (await sentTo(stage.practitioner.clinicId, id)).at(-1)?.lines[0];
    const first = await sent();
    await discharge(id);
    await openAnother(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      complaint: 'Low back',
      area: 'back',
    } as never);
    await prescribe(
      stage.practitioner,
      id,
      [{ ...line, lineage: first?.lineage, episodeId: first?.episodeId }],
      { basedOn: 1 },
    );
    const [now, then] = await episodesOf(stage.practitioner.clinicId, id);
    const second = await sent();
    expect(second?.lineage).toBe(first?.lineage);
    expect([first?.episodeId, second?.episodeId]).toEqual([then?.id, now?.id]);
  });

  it('say what a patient comes for: all that are open, else the newest', async () => {
    const id = await add('Comes For', { complaint: 'Neck', area: 'neck' });
    const { clinicId } = stage.practitioner;
    const comes = async () => (await comesForOf(clinicId, [id])).get(id);
    expect(await comes()).toEqual({ complaint: 'Neck', isOpen: true, from: today() });
    const other = (complaint: string) =>
      openAnother(stage.practitioner, {
        id: randomUUID(),
        patientId: id,
        complaint,
        area: 'back',
      } as never);
    await other('Low back');
    expect(await comes()).toMatchObject({ complaint: 'Low back · Neck', isOpen: true });
    const [newest, first] = await episodesOf(clinicId, id);
    // The newer one ends first: what is still open is what is come for.
    const close = (one: typeof newest) =>
      write((db) => [
        db
          .update(episode)
          .set({ closedOn: today() })
          .where(eq(episode.id, (one as NonNullable<typeof one>).id)),
      ]);
    await close(newest);
    expect(await comes()).toMatchObject({ complaint: 'Neck', isOpen: true });
    await close(first);
    expect(await comes()).toMatchObject({ complaint: 'Low back', isOpen: false });
  });

  it('keeps what a complaint was called before, and refuses over a newer one', async () => {
    const id = await add('Corrected Complaint');
    const patient = await patientOf(stage, id);
    const [episode] = await episodesOf(patient.clinicId, patient.id);
    const put = (complaint: string, was: string, sent: string = randomUUID()) =>
      correctComplaint(stage.practitioner, {
        id: sent,
        patientId: id,
        episodeId: episode?.id,
        complaint,
        area: null,
        was: { complaint: was, area: null },
      } as never);
    await put('Elbow', 'Neck');
    const sent = randomUUID();
    await put('Wrist', 'Elbow', sent);
    // Sent again it is there once; another one under its id is not said to be kept.
    await put('Wrist', 'Elbow', sent);
    await expect(put('Hand', 'Wrist', sent)).rejects.toBeInstanceOf(AlreadyThere);
    await expect(put('Knee', 'Neck')).rejects.toMatchObject({ guard: 'newest' });
    const rows = await correctionsOf(patient.clinicId, patient.id);
    expect(rows.map(({ correction }) => [correction.field, correction.before])).toEqual([
      ['complaint', 'Elbow'],
      ['complaint', 'Neck'],
    ]);
  });
});

describe('the first view', () => {
  it('lights the steps done today, and gathers calls and the next visit', async () => {
    const id = await makePatient(stage.practitioner, 'Summary Patient');
    const patient = await patientOf(stage, id);
    const entry = (kind: string, body: object) =>
      saveEntry(stage.assistant, {
        id: randomUUID(),
        patientId: id,
        kind,
        supersedes: null,
        on: today(),
        body,
      } as never);
    const before = await stepsToday(stage.practitioner, patient);
    await entry('goal', { activity: 'Carry the moulds', by: null, reachedOn: null });
    expect(await stepsToday(stage.practitioner, patient)).toEqual([
      ...new Set([...before, 'screen']),
    ]);
    await entry('contact', { way: 'call', reached: true, agreed: 'Rest until Monday' });
    await entry('visit-way', { way: 'phone' });
    await entry('next-visit', {
      date: addDays(today(), 7),
      minute: 630,
      way: 'in the room',
      note: '',
    });
    await expect(
      entry('next-visit', { date: addDays(today(), -1), minute: null, way: 'phone', note: '' }),
    ).rejects.toMatchObject({ status: 400, at: ['body', 'date'] });
    const found = await summaryOf(stage.practitioner, patient, null);
    expect(found).toMatchObject({
      daysIn: null,
      helping: null,
      goals: [{ activity: 'Carry the moulds' }],
      next: { body: { minute: 630 } },
      timeline: [
        {
          on: today(),
          way: 'phone',
          contacts: [{ body: { agreed: 'Rest until Monday' } }],
        },
      ],
    });
    expect(found.open.map(({ say }) => say)).toContain('No programme is written');
    await withdrawEntry(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      supersedes: found.next?.id ?? '',
    });
    expect((await summaryOf(stage.practitioner, patient, null)).next).toBeNull();
  });
});

it('what was told in an earlier episode is followed no more in the next', async () => {
  const life = await beginLife(stage.practitioner, [{}], { name: 'Two Courses', daysAgo: 20 });
  await liveOn(life, [{ pain: 8 }, { pain: 7 }, { pain: 8 }]);
  const real = Date.now();
  const on = (daysAgo: number) => setClock(() => real - daysAgo * DAY_MS);
  try {
    on(10);
    await signLetter(stage.practitioner, {
      id: randomUUID(),
      patientId: life.patientId,
      kind: 'discharge',
      words: '',
      forReferrer: false,
    });
    on(5);
    await openAnother(stage.practitioner, {
      id: randomUUID(),
      patientId: life.patientId,
      complaint: 'Low back',
      area: 'back',
    });
  } finally {
    setClock(null);
  }
  const patient = await patientOf(stage, life.patientId);
  const follow = await followOf(stage.practitioner, patient);
  expect(follow.from).toBe(today(-5));
  expect(follow.days[0]?.date).toBe(today(-5));
  expect(follow.followed.flatMap(({ readings }) => readings)).toEqual([]);
  expect(follow.seams).toEqual([]);
  // The earlier one is still there to read.
  const [, first] = await episodesOf(patient.clinicId, patient.id);
  const then = await summaryOf(stage.practitioner, patient, first?.id ?? '');
  expect(then.helping).toContain('Worst pain');
  expect(then.daysIn).not.toBeNull();
});
