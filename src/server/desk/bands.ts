import type { BandCurve } from '@/core/load';
import type { BandsDraft } from '@/core/records';
import type { ClinicId } from '@/core/units';
import { clinicById, updateClinic } from '@/db';
import type { SignedIn } from '../access';
import { writeAs } from '../visit/write-as';

/** The clinic's bands with the forces it measured. */
export async function bandsOf(clinicId: ClinicId): Promise<readonly BandCurve[]> {
  const clinic = await clinicById(clinicId);
  return clinic?.bands ?? [];
}

export function saveBands(member: SignedIn, { bands }: BandsDraft): Promise<void> {
  return writeAs(member, 'lead', {
    verb: 'changed the bands of',
    subject: { kind: 'clinic', id: member.clinicId },
    statements: () => [updateClinic(member.clinicId, { bands })],
  });
}
