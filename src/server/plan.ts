import { type WakingHours } from '@/core/schedule';
import type { LocalDate } from '@/core/units';
import { type Patient, versionsOf } from '@/db';
import { sentVersion, wakingOf } from './programme-facts';
import { earliestStart } from './save-programme';

/** What the Plan desk begins with: the newest version's lines, to become the next version. */
export async function planOf(patient: Patient) {
  const versions = (await versionsOf(patient.clinicId, [patient.id])).get(patient.id) ?? [];
  const last = versions.at(-1);
  const newest = last ? sentVersion(last) : null;
  const earliest: LocalDate = await earliestStart(patient);
  const waking: WakingHours = wakingOf(patient);
  return {
    newest: newest?.number ?? 0,
    earliest,
    waking,
    desk: {
      lines: (newest?.lines ?? []).map((line) => ({
        uid: line.lineage,
        lineage: line.lineage,
        anchor: line.anchor,
        exerciseId: line.exerciseId,
        dose: line.text,
      })),
      rounds: newest?.rounds ?? 1,
      effectiveFrom: earliest,
      reviewOn: newest?.reviewOn != null && newest.reviewOn >= earliest ? newest.reviewOn : '',
      reason: '',
    },
  };
}
