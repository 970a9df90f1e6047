import type { ClinicId, PatientId } from '@/core/units';
import { dropTriageRows, triageRowsById, triagedFrom, write } from '@/db';
import { BATCHES } from '../periods';
import { eachReadable } from '../each-readable';

/**
 * Lets go of rows of the morning list that cannot be read. They are made of the record alone, so that
 * nothing is lost: whoever looks next has them made anew.
 */
export async function dropSpoiltRows(clinicId: ClinicId): Promise<void> {
  for (let after: PatientId | '' = ''; ;) {
    const ids: PatientId[] = await triagedFrom(clinicId, after, BATCHES.triage);
    const last = ids.at(-1);
    if (last === undefined) return;
    const { unread } = await eachReadable(ids, (some) => triageRowsById(clinicId, some));
    if (unread.size > 0) await write(() => [dropTriageRows(clinicId, [...unread.keys()])]);
    after = last;
  }
}
