import type { z } from 'zod';
import { KeptFields, KeptHistory, KeptScreening } from '@/core/records';
import { type ScreeningAnswers } from '@/core/screen';
import { type Patient, type VisitDraftKind, membersOf, pausesOf, programmeOf } from '@/db';
import { ageOn } from '@/core/identity';
import type { SignedIn } from '../access';
import { todayOf } from '../programme-facts';
import { fileOf } from './entries';
import { latestMeasures } from './measuring';
import { letterFor, referralsOf } from './referral';
import { screeningState } from './screening';
import { keptVisitDraft } from './visit-drafts';

/** Everything the Screen step shows. */
export async function screenStep(member: SignedIn, patient: Patient, complaint: string) {
  const kept = keptDrafts(member, patient);
  const [state, file, referrals, members, measures, programme, pauses] = await Promise.all([
    screeningState(patient),
    fileOf(patient),
    referralsOf(patient),
    membersOf(patient.clinicId),
    latestMeasures(patient),
    programmeOf(patient.clinicId, patient.id),
    pausesOf(patient.clinicId, [patient.id]),
  ]);
  const pressure = measures.find(({ kind }) => kind === 'blood-pressure')?.body;
  const { current } = state;
  const { screening, history, goal, care, consent } = await kept;
  return {
    /** What this member has begun and not saved, where nothing newer stands in its way. */
    kept: {
      screening: screening?.fromId === (state.waiting?.id ?? null) ? screening : null,
      history: history?.before === (file.history?.id ?? null) ? history : null,
      goal,
      care,
      consent: consent?.before === (file.consent?.id ?? '') ? consent : null,
    },
    state,
    file,
    referrals,
    today: todayOf(patient),
    /** A programme goes on at home while prescribing is blocked. */
    running: programme !== null && pauses.every((pause) => pause.toDate !== null),
    answers: current && current.answers,
    authorName: members.find(({ id }) => id === current?.confirmedBy)?.name ?? '',
    letter: current ? await letterFor(member, patient, complaint, current) : '',
    waiting: state.waiting && state.waiting.answers,
    /** Known from the birth date, it need not be asked. */
    age: patient.birthDate === null ? null : ageOn(patient.birthDate, todayOf(patient)),
    /** A pressure measured elsewhere need not be typed twice. */
    pressure: (pressure?.form === 'pressure'
      ? { systolic: pressure.systolic, diastolic: pressure.diastolic }
      : null) satisfies ScreeningAnswers['pressure'],
  };
}

/** What a member has begun and not saved, form by form; null where there is none, or it is none of ours. */
async function keptDrafts(member: SignedIn, patient: Patient) {
  const read = <S extends z.ZodType>(kind: VisitDraftKind, schema: S) =>
    keptVisitDraft(member, patient.id, kind).then(
      (body): z.output<S> | null => schema.safeParse(body).data ?? null,
    );
  const [screening, history, goal, care, consent] = await Promise.all([
    read('screening', KeptScreening),
    read('history', KeptHistory),
    read('goal', KeptFields),
    read('care', KeptFields),
    read('consent', KeptFields),
  ]);
  return { screening, history, goal, care, consent };
}
