import { type AboutExercise, aboutExercise } from '@/catalogue/about-exercise';
import type { ClinicId } from '@/core/units';
import { runningWith } from '@/db';
import { catalogueFor } from './exercises';

/** Everything a colleague would ask of an exercise, and how many of the clinic's patients have it now. */
export async function askedExercise(
  clinicId: ClinicId,
  id: string,
): Promise<{ readonly about: AboutExercise; readonly patients: number } | null> {
  const about = aboutExercise(await catalogueFor(clinicId), id);
  return about && { about, patients: await runningWith(clinicId, about.exercise.id) };
}
