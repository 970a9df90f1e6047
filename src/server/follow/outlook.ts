import { group } from 'd3';
import {
  type Choice,
  type FollowRecord,
  deficitSince,
  improvedOn,
  openFaults,
} from '@/core/outlook';
import { TRIAGE_DAYS } from '@/core/morning';
import { type MeasureKindId, valueOfBody, stepSlides } from '@/core/measures';
import { type TriageLimits, TRIAGE_LIMITS } from '@/core/triage';
import type { LocalDate, ClinicId } from '@/core/units';
import {
  type Clinic,
  type Patient,
  type ProposalDecisionRow,
  comesForOf,
  homesOf,
  type KindOfPatient,
  measurementsOfKinds,
  newestConfirmedOf,
  newestTeachingsOf,
  proposalDecisionsOf,
} from '@/db';
import { bandsOf } from '../desk/bands';
import { catalogueFor } from '../desk/exercises';
import { type PatientFacts, factsOf } from '../programme-facts';

/** Proposals read so many days back, as the morning list does: what went wrong before is forgotten by then. */
export const OUTLOOK_DAYS = TRIAGE_DAYS;

/** Measured maxima that a share of effort is of. */
const STRENGTHS = [
  'strength-forward',
  'strength-back',
  'strength-side',
  'strength-turn',
] as const satisfies MeasureKindId[];
export const READ_KINDS = [
  'nerve-examination',
  'step-feel',
  ...STRENGTHS,
] as const satisfies MeasureKindId[];

/** What progression reads of a patient's measurements, newest first. */
function followedFrom(measured: readonly KindOfPatient[]) {
  const of = (kind: MeasureKindId) =>
    measured
      .filter((one) => one.kind === kind)
      .map(({ localDate, details }) => ({ on: localDate, body: details?.body ?? null }));
  const improved = STRENGTHS.flatMap((kind) => {
    const values = of(kind).flatMap(({ on, body }) => {
      const value = body && valueOfBody(kind, body);
      return value === null ? [] : [{ on, value }];
    });
    const on = improvedOn(kind, values);
    return on === null ? [] : [[kind, on] as const];
  });
  return {
    stepSlides: stepSlides(of('step-feel')[0]?.body ?? null),
    deficitSince: deficitSince(of('nerve-examination')),
    improved: new Map<MeasureKindId, LocalDate>(improved),
  };
}

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
  const [facts, screenings, homes, teachings, decisions, measured, episodes] = await Promise.all([
    factsOf(clinicId, patients, from, to),
    newestConfirmedOf(clinicId, ids),
    homesOf(clinicId, ids),
    newestTeachingsOf(clinicId, ids),
    proposalDecisionsOf(clinicId, ids, 20_000),
    measurementsOfKinds(clinicId, ids, READ_KINDS),
    comesForOf(clinicId, ids),
  ]);
  const decided = group(decisions, ({ patientId }) => patientId);
  const measuredBy = group(measured, ({ patientId }) => patientId);
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
      episodeFrom: episodes.get(id)?.from ?? null,
      ...followedFrom(measuredBy.get(id) ?? []),
    };
  });
}

/** Everything that `outlook` needs of a clinic beside its patients. */
export async function clinicContext(
  clinicId: ClinicId,
  exercises: typeof catalogueFor = catalogueFor,
): Promise<{ catalogue: Choice }> {
  const [catalogue, bands] = await Promise.all([exercises(clinicId), bandsOf(clinicId)]);
  return { catalogue: { ...catalogue, bands } };
}
