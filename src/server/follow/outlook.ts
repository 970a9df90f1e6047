import { group } from 'd3';
import { type FollowRecord, deficitGrows, openFaults } from '@/core/outlook';
import { stepSlides } from '@/core/measures';
import { type TriageLimits, TRIAGE_LIMITS } from '@/core/triage';
import type { LocalDate, ClinicId } from '@/core/units';
import {
  type Clinic,
  type Patient,
  type ProposalDecisionRow,
  homesOf,
  measurementsOfKind,
  newestConfirmedOf,
  newestTeachingsOf,
  proposalDecisionsOf,
} from '@/db';
import { catalogueFor } from '../desk/exercises';
import { type PatientFacts, factsOf } from '../programme-facts';

/** Proposals read so many days back; what is older belongs to another dose. */
export const OUTLOOK_DAYS = 42;

/** What the clinic set, over the defaults. */
export function limitsOf(clinic: Pick<Clinic, 'triageLimits'> | null): TriageLimits {
  return { ...TRIAGE_LIMITS, ...clinic?.triageLimits };
}

/** A patient's record as progression and triage read it, with the rows it was read from. */
export type PatientRecord = FollowRecord<ProposalDecisionRow, PatientFacts>;

/** The records of some patients of one clinic, in a handful of queries whatever their number. */
export async function followRecords(
  clinicId: ClinicId,
  patients: readonly Patient[],
  from: LocalDate,
  to: LocalDate,
): Promise<PatientRecord[]> {
  if (patients.length === 0) return [];
  const ids = patients.map(({ id }) => id);
  const [facts, screenings, homes, teachings, decisions, nerves, steps] = await Promise.all([
    factsOf(clinicId, patients, from, to),
    newestConfirmedOf(clinicId, ids),
    homesOf(clinicId, ids),
    newestTeachingsOf(clinicId, ids),
    proposalDecisionsOf(clinicId, ids, 20_000),
    measurementsOfKind(clinicId, ids, 'nerve-examination'),
    measurementsOfKind(clinicId, ids, 'step-feel'),
  ]);
  const decided = group(decisions, ({ patientId }) => patientId);
  const felt = group(steps, ({ patientId }) => patientId);
  const examined = group(nerves, ({ patientId }) => patientId);
  return facts.map((one): PatientRecord => {
    const { id } = one.patient;
    const screening = screenings.get(id);
    return {
      facts: one,
      reports: new Map(one.doneRows.map((row) => [row.localDate, row.report] as const)),
      precautions: screening?.precautions ?? [],
      screenedOn: screening?.localDate ?? null,
      home: homes.get(id) ?? null,
      faults: openFaults(teachings.get(id)?.lines ?? []),
      decisions: decided.get(id) ?? [],
      stepSlides: stepSlides(felt.get(id)?.[0]?.details?.body ?? null),
      deficitGrows: deficitGrows(
        (examined.get(id) ?? []).map(({ details }) => details?.body ?? null),
      ),
    };
  });
}

/** Everything that `outlook` needs of a clinic beside its patients. */
export async function clinicContext(clinicId: ClinicId) {
  return { catalogue: await catalogueFor(clinicId) };
}
