import { sentVersion } from '@/core/programme';
import { rmSync } from 'node:fs';
import { randomUUID } from 'node:crypto';
import { addDays } from '@/core/units';
import { auditOf, closeDatabase, versionsOf } from '@/db';
import { setPaused } from '@/server/save-programme';
import { takeIn } from '@/server/take-in';
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
    ['10-6-max', 'cannot be timed yet', 'dose'],
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
