import type { ClinicId } from '@/core/units';
import { clinicIds } from '@/db';
import { logFailure } from './problem';

/**
 * Does something for every clinic, one after the other. What fails with one is told to the log and keeps no
 * other from theirs.
 *
 * @param what for the log
 */
export async function eachClinic(
  what: string,
  work: (clinicId: ClinicId) => Promise<unknown>,
): Promise<void> {
  for (const clinicId of await clinicIds())
    try {
      await work(clinicId);
    } catch (error) {
      logFailure(what, error);
    }
}
