import type { TriageLimitsDraft, TriageMarkDraft } from '@/core/records';
import type { TriageLimits } from '@/core/triage';
import { dateIn } from '@/core/schedule';
import { addDays, type ClinicId } from '@/core/units';
import { clinicById, insertTriageMark, newestMarksOf, openAlertsOf, updateClinic } from '@/db';
import type { SignedIn } from '../access';
import { patientFor } from '../people';
import { Problem } from '../problem';
import { todayOf, zoneOf } from '../programme-facts';
import { limitsOf } from './outlook';
import { isSameRecord, writeAs } from '../visit/write-as';

/** Puts a row of the morning list aside, for today or some days, or takes it back. */
export async function markTriage(member: SignedIn, draft: TriageMarkDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  // A stop is put aside by whoever has taken it, never by a mark.
  if (draft.kind !== 'back' && (await openAlertsOf(member.clinicId, [patient.id])).length > 0)
    throw new Problem(
      409,
      'There is an alert nobody has taken. Say first that you have seen it; then the row can be put aside.',
    );
  const days = draft.kind === 'snoozed' ? draft.days : 0;
  await writeAs(member, 'practitioner', {
    verb: { done: 'put aside for today', snoozed: 'snoozed', back: 'took back' }[draft.kind],
    subject: { kind: 'patient', id: patient.id },
    statements: (at) => [
      insertTriageMark({
        clinicId: member.clinicId,
        id: draft.id,
        patientId: patient.id,
        createdAt: at,
        authorId: member.id,
        kind: draft.kind,
        rule: draft.rule,
        until: addDays(todayOf(patient), days),
        reason: draft.reason,
      }),
    ],
    isThere: async () => {
      const newest = (await newestMarksOf(member.clinicId, [patient.id])).get(patient.id);
      if (!newest) return false;
      // Counted from the day it was written on.
      const until = addDays(dateIn(zoneOf(patient), newest.createdAt), days);
      return isSameRecord(newest, { ...draft, until });
    },
  });
}

/** The clinic's limits of triage, over the defaults. */
export async function triageLimitsOf(clinicId: ClinicId): Promise<TriageLimits> {
  return limitsOf(await clinicById(clinicId));
}

/** Sets the clinic's limits of triage. */
export function saveTriageLimits(lead: SignedIn, limits: TriageLimitsDraft): Promise<void> {
  return writeAs(lead, 'lead', {
    verb: 'set the limits of triage in',
    subject: { kind: 'clinic', id: lead.clinicId },
    statements: () => [updateClinic(lead.clinicId, { triageLimits: limits })],
  });
}
