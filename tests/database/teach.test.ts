import { randomUUID } from 'node:crypto';
import { SAID_PARTS, type TaughtLine, untaught } from '@/core/teach';
import { auditOf, versionsOf } from '@/db';
import { read } from '@/db/door';
import { teachBack } from '@/db/schema';
import { patientPack } from '@/server/patient-pack';
import { saveMeasurements } from '@/server/visit/measuring';
import { handoutAddress, handoutOf } from '@/server/visit/handout';
import { noteStep, signNote } from '@/server/visit/note';
import { signTeaching, teachStep } from '@/server/visit/teaching';
import { keepVisitDraft } from '@/server/visit/visit-drafts';
import { device, makePatient, prescribe, today } from '../support/clinic';
import { databaseStage, measure, patientOf } from '../support/stage';

const stage = databaseStage('teach');
const PROGRAMME = [
  { exerciseId: 'tuck-lying', dose: '10x10s gap 5s daily until review' },
  { exerciseId: 'wall-press', dose: '3x30s each side daily until review' },
];
const CLOSING = { doseSaidAgain: true, dayToComeBack: true };

async function taughtPatient() {
  const id = await makePatient(stage.practitioner);
  await prescribe(stage.practitioner, id, PROGRAMME);
  const [version] = (await versionsOf(stage.practitioner.clinicId, [id])).get(id) ?? [];
  if (!version) throw new Error('no version');
  const lines = version.lines.map(({ lineage }): TaughtLine => ({
    ...untaught(lineage),
    said: [...SAID_PARTS],
  }));
  return { id, programmeId: version.version.programmeId, lines };
}

describe('a teaching', () => {
  it('shows the run sheet of the newest version, with what its doses leave out', async () => {
    const { id } = await taughtPatient();
    const step = await teachStep(stage.practitioner, await patientOf(stage, id));
    expect(step.pages.map(({ name }) => name)).toEqual([
      'Tuck lying down',
      'Wall press into a pad',
    ]);
    expect(step.pages[0]?.missing).toEqual(['once a day (assumed)']);
    expect(step.pages[1]?.missing).toEqual(
      expect.arrayContaining([
        expect.stringMatching(/^how hard\?/),
        '5 s to change sides (assumed)',
      ]),
    );
    expect(step.pages[0]?.figure?.poses.length).toBeGreaterThan(1);
    expect(step.consented).toBe(false);
  });

  it('is signed once however often it is sent, and leaves who signed in the audit', async () => {
    const { id, programmeId, lines } = await taughtPatient();
    const draft = {
      id: randomUUID(),
      patientId: id,
      programmeId,
      version: 1,
      lines,
      closing: CLOSING,
    };
    await signTeaching(stage.practitioner, draft);
    await signTeaching(stage.practitioner, draft);
    const step = await teachStep(stage.practitioner, await patientOf(stage, id));
    expect(step.signed).toHaveLength(1);
    expect(step.signed[0]).toMatchObject({
      on: today(),
      version: 1,
      by: 'practitioner of harbour',
    });
    expect(step.signed[0]?.lines[0]).toMatch(/^Tuck lying down: said in full/);
    expect(await auditOf(stage.practitioner.clinicId, draft.id)).toHaveLength(1);
  });

  it('is never changed and never removed', async () => {
    const { id, programmeId, lines } = await taughtPatient();
    const draft = {
      id: randomUUID(),
      patientId: id,
      programmeId,
      version: 1,
      lines,
      closing: CLOSING,
    };
    await signTeaching(stage.practitioner, draft);
    const write = (await import('@/db/door')).write;
    const { builder } = await import('@/db/door');
    await expect(write(() => [builder().delete(teachBack)])).rejects.toThrow();
    const emptied = { lines: [], closing: CLOSING };
    await expect(
      write(() => [builder().update(teachBack).set({ body: emptied })]),
    ).rejects.toThrow();
    const rows = await read((db) => db.select().from(teachBack));
    expect(rows.some((row) => row.id === draft.id && row.body.lines.length > 0)).toBe(true);
  });

  it('of a version that is no longer the newest is refused with a sentence; the draft stays', async () => {
    const { id, programmeId, lines } = await taughtPatient();
    await keepVisitDraft(stage.practitioner, {
      patientId: id,
      kind: 'teach',
      body: '{"lines":{}}',
    });
    await prescribe(stage.practitioner, id, PROGRAMME, { basedOn: 1 });
    await expect(
      signTeaching(stage.practitioner, {
        id: randomUUID(),
        patientId: id,
        programmeId,
        version: 1,
        lines,
        closing: CLOSING,
      }),
    ).rejects.toMatchObject({
      status: 409,
      say: expect.stringMatching(/at version 2 now/) as string,
    });
    const step = await teachStep(stage.practitioner, await patientOf(stage, id));
    expect(step.kept).toEqual({ lines: {} });
    expect(step.signed).toEqual([]);
  });

  it('refuses an exercise that is not in the version', async () => {
    const { id, programmeId } = await taughtPatient();
    await expect(
      signTeaching(stage.practitioner, {
        id: randomUUID(),
        patientId: id,
        programmeId,
        version: 1,
        lines: [untaught(randomUUID())],
        closing: CLOSING,
      }),
    ).rejects.toMatchObject({ status: 409 });
  });

  it('makes its fixes this patient’s reminders, on the phone and on the handout', async () => {
    const { id, programmeId, lines } = await taughtPatient();
    const [first, second] = lines;
    if (!first || !second) throw new Error('no lines');
    await signTeaching(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      programmeId,
      version: 1,
      lines: [
        { ...first, cue: 'Towel under the head' },
        { ...second, faults: [{ fault: 'Looks up', fix: 'Eyes level' }] },
      ],
      closing: CLOSING,
    });
    const here = await device(stage.practitioner, id);
    const pack = await patientPack(here);
    expect(pack.lines.map(({ cues }) => cues[0])).toEqual(['Towel under the head', 'Eyes level']);
    const handout = await handoutOf(await patientOf(stage, id), 'http://x/today');
    expect(handout?.exercises.map(({ own }) => own)).toEqual([
      ['For you: Towel under the head'],
      ['For you: Eyes level'],
    ]);
  });
});

describe('a handout', () => {
  it('is nothing before the first version', async () => {
    const id = await makePatient(stage.practitioner);
    expect(await handoutOf(await patientOf(stage, id), 'x')).toBeNull();
  });

  it('has the boxes of the schedule, whom to call, and says that no day to come back is set', async () => {
    const { id } = await taughtPatient();
    const handout = await handoutOf(await patientOf(stage, id), 'http://x/today');
    expect(handout).toMatchObject({
      version: 1,
      clinic: { phone: '+000 555 01', emergencyText: 'Call 000.' },
    });
    expect(handout?.words.head).toContain('No day to come back is set: ask your clinic.');
    expect(handout?.week.rows.map(({ due }) => due.map(({ times }) => times))).toEqual([
      [1, 1, 1, 1, 1, 1, 1],
      [1, 1, 1, 1, 1, 1, 1],
    ]);
    expect(handout?.exercises[1]?.numbers).toMatch(/30 seconds/);
    expect(handout?.exercises[1]?.pictures).toHaveLength(2);
    expect(handout?.stopSigns.length).toBeGreaterThan(2);
  });

  it('takes a link of its own clinic only', () => {
    expect(handoutAddress('https://a.example', null)).toBe('https://a.example/today');
    expect(handoutAddress('https://a.example', 'https://a.example/open#t')).toMatch(/#t$/);
    expect(() => handoutAddress('https://a.example', 'https://b.example/open#t')).toThrow();
  });
});

describe('a visit note', () => {
  it('is drafted from the record of the day and signed beside earlier ones', async () => {
    const { id, programmeId, lines } = await taughtPatient();
    await saveMeasurements(stage.practitioner, {
      patientId: id,
      measurements: [measure({ trials: [60, 62, 61] })],
    });
    await signTeaching(stage.practitioner, {
      id: randomUUID(),
      patientId: id,
      programmeId,
      version: 1,
      lines,
      closing: CLOSING,
    });
    const patient = await patientOf(stage, id);
    const { draft } = await noteStep(stage.practitioner, patient, 'Neck');
    expect(draft.subjective).toMatch(/^Neck\./);
    expect(draft.objective).toMatch(/Go ahead[\s\S]*61°/);
    expect(draft.plan).toMatch(/Tuck lying down: 10x10s gap 5s[\s\S]*Taught:[\s\S]*said in full/);
    const note = { id: randomUUID(), patientId: id, ...draft };
    await signNote(stage.practitioner, note);
    await signNote(stage.practitioner, note);
    await signNote(stage.practitioner, { ...note, id: randomUUID(), plan: 'Other' });
    const { signed, kept } = await noteStep(stage.practitioner, patient, 'Neck');
    expect(signed.map(({ plan }) => plan)).toEqual(['Other', draft.plan]);
    expect(kept).toBeNull();
  });

  it('keeps what is not signed for its author only', async () => {
    const id = await makePatient(stage.practitioner);
    await keepVisitDraft(stage.practitioner, { patientId: id, kind: 'note', body: '{"plan":"x"}' });
    const patient = await patientOf(stage, id);
    expect((await noteStep(stage.practitioner, patient, '')).kept).toEqual({ plan: 'x' });
    expect((await noteStep(stage.lead, patient, '')).kept).toBeNull();
    await keepVisitDraft(stage.practitioner, { patientId: id, kind: 'note', body: null });
    expect((await noteStep(stage.practitioner, patient, '')).kept).toBeNull();
  });
});
