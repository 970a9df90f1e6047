import type { Circumstances } from '@/core/choose';
import type { Screened } from '@/core/screen';
import type { Patient } from '@/db';
import { homeOf } from '../plan';
import { screeningState } from './screening';

/** What closes exercises to a patient, and where the screening stands that says so. */
export async function circumstancesFor(
  patient: Patient,
): Promise<{ readonly circumstances: Circumstances; readonly screened: Screened }> {
  const [{ precautions, screened }, home] = await Promise.all([
    screeningState(patient),
    homeOf(patient),
  ]);
  return {
    circumstances: {
      props: home?.body.props ?? null,
      cannot: home?.body.cannot ?? [],
      precautions,
    },
    screened,
  };
}
