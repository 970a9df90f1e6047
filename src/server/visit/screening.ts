import { isDeepStrictEqual } from 'node:util';
import { stepSlides } from '@/core/measures';
import type { PatientScreeningDraft, ScreeningDecisionDraft, ScreeningDraft } from '@/core/records';
import {
  type Outcome,
  type PrecautionId,
  RULES_VERSION,
  type ScreeningAnswers,
  type Screened,
  type ScreeningOutcome,
  type Urgency,
  blocksPrescribing,
  isScreeningOld,
  screen,
  standingOf,
  urgencyOf,
  withMeasured,
  withoutHidden,
} from '@/core/screen';
import {
  type Patient,
  type ScreeningDecisionRow,
  type ScreeningRow,
  clinicById,
  decisionsOf,
  insertAlert,
  insertDecision,
  insertScreening,
  measurementsOfKinds,
  newestConfirmed,
  referralsOf,
  screeningsOf,
  standingRow,
  forgetVisitDraft,
} from '@/db';
import { type PatientHere, type SignedIn, roleSuffices } from '../access';
import { patientFor } from '../people';
import { NOT_FOUND, Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { isSameRecord, writeAs, writeAsPatient } from './write-as';

type NewScreening = Omit<ScreeningRow, 'createdAt' | 'episodeId' | 'visitId'>;

function rowOf(
  patient: Patient,
  facts: ScreeningAnswers,
  more: Pick<ScreeningRow, 'id' | 'authorId' | 'byPatient' | 'fromId' | 'confirmedBy'>,
): NewScreening {
  const asked = withoutHidden(facts);
  const { outcome, precautions } = screen(asked);
  return {
    ...more,
    clinicId: patient.clinicId,
    patientId: patient.id,
    localDate: todayOf(patient),
    answers: asked,
    rulesVersion: RULES_VERSION,
    outcome,
    precautions,
  };
}

async function isStored(row: NewScreening): Promise<boolean> {
  const stored = await screeningsOf(row.clinicId, row.patientId);
  return stored.some((one) => one.id === row.id && isDeepStrictEqual(one.answers, row.answers));
}

/**
 * Keeps a screening. A practitioner's finished one counts from now on; an assistant's, or one with
 * open questions that blocks nothing, is kept for a practitioner to confirm.
 */
export async function saveScreening(
  member: SignedIn,
  draft: ScreeningDraft,
): Promise<{ outcome: ScreeningOutcome; confirmed: boolean }> {
  const patient = await patientFor(member, draft.patientId);
  const facts = { answers: draft.answers, age: draft.age, pressure: draft.pressure };
  const { outcome } = screen(withoutHidden(facts));
  const confirmed = roleSuffices(member.role, 'practitioner') && outcome !== 'unfinished';
  const row = rowOf(patient, facts, {
    id: draft.id,
    authorId: member.id,
    byPatient: false,
    fromId: draft.fromId,
    confirmedBy: confirmed ? member.id : null,
  });
  await writeAs(member, confirmed ? 'practitioner' : 'assistant', {
    verb: confirmed ? 'confirmed' : 'kept',
    subject: { kind: 'screening', id: draft.id },
    statements: (at) => [
      ...insertScreening({ ...row, createdAt: at }),
      forgetVisitDraft({
        clinicId: member.clinicId,
        patientId: patient.id,
        memberId: member.id,
        kind: 'screening',
      }),
    ],
    isThere: () => isStored(row),
  });
  return { outcome, confirmed };
}

/** The patient's own answers, and how soon somebody should look at them. */
export async function saveOwnScreening(
  here: PatientHere,
  draft: PatientScreeningDraft,
): Promise<{ urgency: Urgency | null }> {
  const facts = { answers: draft.answers, age: draft.age, pressure: null };
  const row = rowOf(here.patient, facts, {
    id: draft.id,
    authorId: here.id,
    byPatient: true,
    fromId: null,
    confirmedBy: null,
  });
  const { outcome } = row;
  const worrying = blocksPrescribing(outcome);
  await writeAsPatient(here, {
    verb: 'answered',
    subject: { kind: 'screening', id: draft.id },
    statements: (at) => [
      ...insertScreening({ ...row, createdAt: at }),
      ...(worrying
        ? [
            insertAlert({
              clinicId: here.clinicId,
              id: `screening ${draft.id}`,
              patientId: here.id,
              kind: 'health answers' as const,
              createdAt: at,
            }),
          ]
        : []),
    ],
    isThere: () => isStored(row),
  });
  return { urgency: urgencyOf(outcome) };
}

/** Records what a practitioner did about a screening that blocks, and whether prescribing may go on. */
export async function decideScreening(
  member: SignedIn,
  draft: ScreeningDecisionDraft,
): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const current = await newestConfirmed(member.clinicId, patient.id);
  if (current?.id !== draft.screeningId)
    throw new Problem(409, 'There is a newer screening. Load the page again and look at that one.');
  await writeAs(member, 'practitioner', {
    verb: draft.mayPrescribe ? 'released' : 'decided on',
    subject: { kind: 'screening', id: draft.screeningId },
    statements: (at) =>
      insertDecision(
        {
          ...draft,
          clinicId: member.clinicId,
          patientId: patient.id,
          authorId: member.id,
          createdAt: at,
        },
        todayOf(patient),
      ),
    isThere: async () =>
      (await decisionsOf(member.clinicId, patient.id)).some((one) => isSameRecord(one, draft)),
  });
}

/** Where a patient's screening stands, for every page of the file. */
export type ScreeningState = {
  readonly current: ScreeningRow | null;
  readonly outcome: Outcome | null;
  readonly precautions: readonly PrecautionId[];
  /** Where it stands, for what is planned on it. */
  readonly screened: Screened;
  /** What that was reckoned from, for the guard of what is sent on it. */
  readonly stamp: string;
  /** Asks to be redone. */
  readonly old: boolean;
  /** Prescribing is blocked until a practitioner has decided. */
  readonly blocked: boolean;
  readonly decision: ScreeningDecisionRow | null;
  /** Newer answers that nobody has confirmed yet. */
  readonly waiting: ScreeningRow | null;
  readonly openReferrals: number;
};

export async function screeningState(patient: Patient): Promise<ScreeningState> {
  const { clinicId, id } = patient;
  const [current, all, decisions, referrals, clinic, standing, steps] = await Promise.all([
    newestConfirmed(clinicId, id),
    screeningsOf(clinicId, id),
    decisionsOf(clinicId, id),
    referralsOf(clinicId, id),
    clinicById(clinicId),
    standingRow(clinicId, id),
    measurementsOfKinds(clinicId, [id], ['step-feel']),
  ]);
  if (!clinic) throw new Problem(404, NOT_FOUND);
  const decision = decisions.find((one) => one.screeningId === current?.id) ?? null;
  const outcome = current && current.outcome !== 'unfinished' ? current.outcome : null;
  const [newest] = all;
  const waiting = newest && newest.confirmedBy === null ? newest : null;
  const old =
    current !== null && isScreeningOld(current.localDate, todayOf(patient), clinic.screeningDays);
  return {
    current,
    outcome,
    precautions: withMeasured(current?.precautions ?? [], {
      stepSlides: stepSlides(steps[0]?.details?.body ?? null),
    }),
    screened: standingOf({
      confirmed: current && {
        outcome: current.outcome,
        on: current.localDate,
        at: current.createdAt,
        episodeId: current.episodeId,
      },
      waiting,
      reasonAt: standing.reasonAt,
      dangerAt: standing.dangerAt,
      episodeId: standing.episodeId,
      openedOn: standing.openedOn,
      today: todayOf(patient),
      lastsDays: clinic.screeningDays,
    }),
    stamp: standing.stamp,
    old,
    blocked: outcome !== null && blocksPrescribing(outcome) && decision?.mayPrescribe !== true,
    decision,
    waiting,
    openReferrals: referrals.filter(({ answers }) => answers.length === 0).length,
  };
}

/** True while the patient may be asked for their own answers: none stands, it is old, and none waits. */
export async function asksForOwnScreening(patient: Patient): Promise<boolean> {
  const state = await screeningState(patient);
  return (state.current === null || state.old) && state.waiting?.byPatient !== true;
}
