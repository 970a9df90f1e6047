import { audit, write } from '@/db';
import { recordInThread } from '@/server/whole-record/thread';
import { type SignedIn, actorOf, stillMay } from '../access';
import { now } from '../clock';
import { noteLook } from '../looks';
import { patientFor } from '../people';
import { NOT_FOUND, Problem } from '../problem';

/**
 * One patient's whole record as a zip. That it was taken out is kept before it leaves.
 *
 * @param origin the clinic's own public address
 * @throws Problem 404 where there is no such patient, 503 where it took too long
 */
export async function takeOut(
  member: SignedIn,
  patientId: string,
  origin: string,
): Promise<Uint8Array<ArrayBuffer>> {
  const patient = await patientFor(member, patientId);
  const { clinicId } = member;
  const at = now();
  const report = await recordInThread({
    kind: 'out',
    clinicId,
    patientId: patient.id,
    at,
    base: `${origin}/api/fhir`,
  });
  if (report.kind !== 'out')
    throw new Problem(
      500,
      'The record could not be taken out. Nothing was changed; ask whoever looks after the server.',
    );
  if (!report.bytes) throw new Problem(404, NOT_FOUND);
  await write(() => [
    stillMay(member, 'practitioner'),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: 'took out the whole record of',
      subject: { kind: 'patient', id: patient.id },
    }),
  ]);
  await noteLook(member, patient, 'whole record');
  return new Uint8Array(report.bytes);
}
