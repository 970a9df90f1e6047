import { randomUUID } from 'node:crypto';
import { readResource, search } from '@/server/read-api/search';
import { device, makeClinic, makePatient, member, ownDomain, prescribe } from '../support/clinic';
import { databaseStage } from '../support/stage';
import { versionsOf } from '@/db';
import { now } from '@/server/clock';
import { readAsked } from '@/server/read-api/asked';
import { takeIn } from '@/server/take-in';
import { eventOf } from '../support/record';

/** One record by its id, as another system of the clinic asks for it. */
const stage = databaseStage('read-one');

it('is read by its id in its own clinic, and in no other', async () => {
  const { clinicId } = stage.practitioner;
  const patientId = await makePatient(stage.practitioner, 'Iven Rushpool');
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'tuck-lying', dose: '10x10s gap 5s' },
  ]);
  const version = (await versionsOf(clinicId, [patientId])).get(patientId)?.[0]?.version;
  if (!version) throw new Error('nothing was sent');
  const plan = `${version.programmeId}-v${version.number}`;
  expect(await readResource(clinicId, 'CarePlan', plan)).toMatchObject({
    resourceType: 'CarePlan',
    id: plan,
    subject: { reference: `Patient/${patientId}` },
  });
  expect(await readResource(clinicId, 'Patient', patientId)).toMatchObject({ id: patientId });
  const { emails } = await makeClinic('read-elsewhere', ownDomain());
  const other = await member(emails.practitioner);
  for (const [clinic, type, id] of [
    [clinicId, 'CarePlan', `${version.programmeId}-v2`],
    [clinicId, 'CarePlan', 'no-such-plan-v1'],
    [other.clinicId, 'CarePlan', plan],
    [other.clinicId, 'Patient', patientId],
  ] as const)
    await expect(readResource(clinic, type, id)).rejects.toMatchObject({ status: 404 });
});

it('finds the sessions of a patient page by page, each once', async () => {
  const { clinicId } = stage.practitioner;
  const patientId = await makePatient(stage.practitioner, 'Oda Fennwick');
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'tuck-lying', dose: '3x10 2/day daily' },
  ]);
  const version = (await versionsOf(clinicId, [patientId])).get(patientId)?.[0]?.version;
  if (!version) throw new Error('nothing was sent');
  const here = await device(stage.practitioner, patientId);
  for (const nth of [1, 2]) {
    const base = { ...eventOf({ type: 'started' }), sessionKey: `session-${nth}` };
    const event = { ...base, sessionId: randomUUID(), programmeId: version.programmeId };
    await takeIn(here, { sentAt: now(), events: [event] });
  }
  const asked = (more: Record<string, string> = {}) =>
    search(
      clinicId,
      'Procedure',
      readAsked('Procedure', new URLSearchParams({ patient: patientId, ...more }), true),
    );
  const whole = await asked();
  expect(whole.resources.map(({ resourceType }) => resourceType)).toEqual([
    'Procedure',
    'Procedure',
  ]);
  expect(whole.end).toBeNull();
  const first = await asked({ _count: '1' });
  const then = await asked({ _count: '1', _after: first.end ?? '' });
  expect([...first.resources, ...then.resources]).toEqual(whole.resources);
  expect(then.end).toBeNull();
});
