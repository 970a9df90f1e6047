import { sentVersion } from '@/core/programme';
import { rmSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { addDays } from '@/core/units';
import { auditOf, closeDatabase, versionsOf } from '@/db';
import { setPaused } from '@/server/save-programme';
import { patientPack } from '@/server/patient-pack';
import { deskOf } from '@/server/plan';
import { takeIn } from '@/server/take-in';
import { handoutOf } from '@/server/visit/handout';
import { saveMeasurements } from '@/server/visit/measuring';
import { teachStep } from '@/server/visit/teaching';
import {
  device,
  makeClinic,
  makePatient,
  member,
  prescribe,
  screened,
  today,
  useDatabase,
} from '../support/clinic';
import { temporaryFolder } from '../support/server';
import { type Stage, measure, patientOf } from '../support/stage';

let folder: string;
let practitioner: Awaited<ReturnType<typeof member>>;
let clinic: Awaited<ReturnType<typeof makeClinic>>;
let patientId: string;

beforeEach(async () => {
  folder = temporaryFolder('programme');
  await useDatabase(folder);
  clinic = await makeClinic('tide');
  practitioner = await member(clinic.emails.practitioner);
  patientId = await makePatient(practitioner);
});

afterEach(() => {
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

const versions = async () =>
  ((await versionsOf(clinic.id, [patientId])).get(patientId) ?? []).map(sentVersion);
const TUCK = { exerciseId: 'tuck-lying', dose: '10 x 10s every other day' };

describe('saving a programme', () => {
  it('stores the canonical dose and the wording of the day', async () => {
    await prescribe(practitioner, patientId, [TUCK]);
    const [first] = await versions();
    expect(first).toMatchObject({ number: 1, effectiveFrom: today(), authorId: practitioner.id });
    expect(first?.lines[0]).toMatchObject({ text: '10x10s every other day', anchor: today() });
    expect(first?.lines[0]?.exercise.steps.length).toBeGreaterThan(0);
  });

  it('keeps a line’s lineage and anchor through versions, so that its beat stays', async () => {
    await prescribe(practitioner, patientId, [TUCK]);
    const [first] = await versions();
    const lineage = first?.lines[0]?.lineage ?? null;
    await prescribe(
      practitioner,
      patientId,
      [{ ...TUCK, dose: '5x10s every other day', lineage }, TUCK],
      {
        basedOn: 1,
        effectiveFrom: addDays(today(), 1),
      },
    );
    const second = (await versions())[1];
    expect(second?.lines[0]).toMatchObject({
      lineage,
      anchor: today(),
      text: '5x10s every other day',
    });
    expect(second?.lines[1]?.lineage).not.toBe(lineage);
    expect(second?.lines[1]?.anchor).toBe(addDays(today(), 1));
  });

  it('makes one version of the same draft sent twice', async () => {
    // Both write on the same screening: one of their own meanwhile would rightly be refused.
    await screened(practitioner, patientId);
    const [a, b] = await Promise.all([
      prescribe(practitioner, patientId, [TUCK]),
      prescribe(practitioner, patientId, [TUCK]).catch((error: unknown) => error),
    ]);
    expect(a).toMatchObject({ number: 1 });
    if (b instanceof Error) expect(b).toMatchObject({ guard: 'version' });
    expect(await prescribe(practitioner, patientId, [TUCK])).toMatchObject({ number: 1 });
    expect(await versions()).toHaveLength(1);
  });

  it('refuses the second of two tabs, whose lines differ', async () => {
    await prescribe(practitioner, patientId, [TUCK]);
    const second = prescribe(practitioner, patientId, [{ ...TUCK, dose: '3x10s' }]);
    await expect(second).rejects.toMatchObject({ guard: 'version' });
    expect(await versions()).toHaveLength(1);
  });

  it('begins today at the earliest, and tomorrow once today has a log', async () => {
    await expect(
      prescribe(practitioner, patientId, [TUCK], { effectiveFrom: addDays(today(), -1) }),
    ).rejects.toMatchObject({ status: 409, at: ['effectiveFrom'] });
    await prescribe(practitioner, patientId, [TUCK]);
    const here = await device(practitioner, patientId);
    const [first] = await versions();
    const event = {
      id: randomUUID(),
      sessionId: randomUUID(),
      sessionKey: 'session-1',
      programmeId: first?.programmeId ?? '',
      version: 1,
      deviceAt: Date.now(),
      offsetMs: 0,
      body: { type: 'started' as const },
    };
    await takeIn(here, { sentAt: Date.now(), events: [event] });
    const more = { basedOn: 1, reason: 'next' };
    await expect(prescribe(practitioner, patientId, [TUCK], more)).rejects.toMatchObject({
      say: expect.stringContaining('tomorrow') as string,
    });
    await prescribe(practitioner, patientId, [TUCK], {
      ...more,
      effectiveFrom: addDays(today(), 1),
    });
    expect(await versions()).toHaveLength(2);
  });

  it.each([
    ['3x10 hold 5', 'without a unit', 'dose'],
    ['8-max hold 5', 'without a unit', 'dose'],
  ])('refuses %s with a sentence and changes nothing', async (dose, say, field) => {
    await expect(
      prescribe(practitioner, patientId, [TUCK, { ...TUCK, dose }]),
    ).rejects.toMatchObject({
      status: 400,
      at: ['lines', 1, field],
      say: expect.stringContaining(say) as string,
    });
    expect(await versions()).toEqual([]);
  });

  it('is refused to an assistant, also past the page', async () => {
    const assistant = await member(clinic.emails.assistant);
    await screened(practitioner, patientId);
    await expect(prescribe(assistant, patientId, [TUCK])).rejects.toMatchObject({
      guard: 'access',
    });
    expect(await versions()).toEqual([]);
  });

  it('leaves an audit event with ids and verbs only', async () => {
    await prescribe(practitioner, patientId, [TUCK], { reason: 'a private reason' });
    const [first] = await versions();
    const [event] = await auditOf(clinic.id, first?.programmeId ?? '');
    expect(event).toMatchObject({ actorId: practitioner.id, verb: 'saved version 1 of' });
    expect(JSON.stringify(event)).not.toContain('private');
  });
});

describe('pausing', () => {
  it('begins today and ends with yesterday when it goes on', async () => {
    await prescribe(practitioner, patientId, [TUCK]);
    await setPaused(practitioner, patientId, true);
    await setPaused(practitioner, patientId, false);
    const { pausesOf } = await import('@/db');
    expect(await pausesOf(clinic.id, [patientId])).toMatchObject([
      { fromDate: today(), toDate: addDays(today(), -1), endedBy: practitioner.id },
    ]);
  });

  it('of another clinic’s patient is not possible', async () => {
    const other = await member((await makeClinic('other')).emails.lead);
    await expect(setPaused(other, patientId, true)).rejects.toMatchObject({ status: 404 });
  });
});

describe('the measured set-up of a line', () => {
  const PRESS = { exerciseId: 'wall-press', dose: '3x30s gap 60s rpe 4' };
  const gap = async (mm: number) => {
    const measurement = measure({
      kind: 'wall-gap',
      side: null,
      position: 'standing',
      instrument: 'ruler or tape',
      trials: [mm, mm, mm],
    });
    await saveMeasurements(practitioner, { patientId, measurements: [measurement] });
    return measurement.id;
  };
  const pad = (cm: number, id: string) => ({
    fact: { kind: 'pad' as const, cm },
    from: { kind: 'measurement' as const, id, on: today() },
  });

  it('goes home with the version: to the phone, to paper, and to who teaches it', async () => {
    const id = await gap(47);
    await prescribe(practitioner, patientId, [{ ...PRESS, setUp: [pad(4.5, id)] }]);
    expect((await versions())[0]?.lines[0]?.setUp).toEqual([pad(4.5, id)]);
    const patient = await patientOf({ practitioner } as Stage, patientId);
    const pack = await patientPack(await device(practitioner, patientId));
    const words = 'Pad 4.5 cm thick, between your head and the wall';
    expect(pack.lines[0]).toMatchObject({ setUp: [words] });
    expect(pack.lines[0]?.stop).not.toBe('');
    const handout = await handoutOf(patient, 'https://clinic.example/today');
    expect(handout?.exercises[0]?.own).toEqual([`Set up for you: ${words}.`]);
    const { pages } = await teachStep(practitioner, patient);
    expect(pages[0]?.sentences.find(({ part }) => part === 'numbers')?.say).toContain(words);
  });

  it('is never taken as it is sent, stays where it was sent before, and is said when it changes', async () => {
    const id = await gap(47);
    const sent = { ...PRESS, setUp: [pad(4.5, id)] };
    for (const wrong of [pad(5, id), pad(4.5, randomUUID())])
      await expect(
        prescribe(practitioner, patientId, [{ ...PRESS, setUp: [wrong] }]),
      ).rejects.toMatchObject({ status: 409, at: ['lines', 0, 'setUp'] });
    await expect(
      prescribe(practitioner, patientId, [{ ...TUCK, setUp: [pad(4.5, id)] }]),
    ).rejects.toMatchObject({ status: 409 });
    expect(await versions()).toEqual([]);
    await prescribe(practitioner, patientId, [sent]);
    const newer = await gap(38);
    // An old one may stay; the desk offers the new one beside it.
    const [first] = await versions();
    const lineage = first?.lines[0]?.lineage ?? null;
    await prescribe(practitioner, patientId, [{ ...sent, lineage }], { basedOn: 1 });
    await prescribe(practitioner, patientId, [{ ...PRESS, lineage, setUp: [pad(3.5, newer)] }], {
      basedOn: 2,
    });
    const patient = await patientOf({ practitioner } as Stage, patientId);
    const { earlier, setUp } = await deskOf(practitioner, patient);
    expect(earlier[0]?.difference).toEqual([
      'Wall press into a pad: set-up: pad 4.5 cm → pad 3.5 cm',
    ]);
    expect(setUp.measures).toMatchObject([{ kind: 'wall-gap', value: 38, id: newer, on: today() }]);
  });
});
