import type { LocalDate } from '@/core/units';
import { type Patient, episodesOf } from '@/db';

/**
 * The day from which a course is followed: the first of the newest episode, where another one was before
 * it. What was told, measured and photographed before belongs to another complaint.
 *
 * @returns null where there was no other
 */
export async function followedSince({ clinicId, id }: Patient): Promise<LocalDate | null> {
  const [newest, before] = await episodesOf(clinicId, id);
  return newest && before ? newest.openedOn : null;
}
