import { readResource } from '@/server/read-api/search';
import { makeClinic, makePatient, member, ownDomain, prescribe } from '../support/clinic';
import { databaseStage } from '../support/stage';
import { versionsOf } from '@/db';

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
