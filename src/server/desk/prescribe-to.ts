import { closedBecause } from '@/core/choose';
import type { PatientCalled, ToPrescribe } from '@/core/records';
import { UNSCREENED, standsFor } from '@/core/screen';
import { searchWords } from '@/core/identity';
import { patientsHolding } from '@/db';
import type { SignedIn } from '../access';
import { practitionersSeen } from '../files';
import { circumstancesFor } from '../visit/circumstances';
import { catalogueFor } from './exercises';

/** The first patients that what was typed finds, but for those in the archive. */
export async function patientsToPrescribe(
  member: SignedIn,
  { name, exerciseId }: PatientCalled,
): Promise<readonly ToPrescribe[]> {
  const { clinicId } = member;
  const [patients, catalogue] = await Promise.all([
    practitionersSeen(member).then((seen) =>
      patientsHolding(clinicId, searchWords(name), seen, 'looked after'),
    ),
    catalogueFor(clinicId),
  ]);
  const exercise = exerciseId === null ? null : catalogue.byId(exerciseId);
  return Promise.all(
    patients.map(async (patient) => {
      const { circumstances, screened } = await circumstancesFor(patient);
      return {
        id: patient.id,
        name: patient.name,
        closed: exercise ? closedBecause(exercise, circumstances) : [],
        unscreened: standsFor(screened) ? null : UNSCREENED[screened],
      };
    }),
  );
}
