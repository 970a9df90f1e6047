import { formatMeasure, kindOf } from '@/core/measures';
import type { ReferralAnswerDraft, ReferralDraft } from '@/core/records';
import { referralLetter } from '@/core/screen';
import {
  type Patient,
  type ScreeningRow,
  clinicById,
  insertReferral,
  insertReferralAnswer,
  programmeOf,
  referralsOf as referralRows,
  screeningsOf,
} from '@/db';
import type { SignedIn } from '../access';
import { patientFor } from '../people';
import { NOT_FOUND, Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { newestHistory } from './entries';
import { latestMeasures } from './measuring';
import { isSameRecord, writeAs } from './write-as';

/** A patient's referrals with their answers, newest first. */
export function referralsOf(patient: Patient) {
  return referralRows(patient.clinicId, patient.id);
}

/** The letter of a referral, made from the record, for the clinician to change before it is kept. */
export async function letterFor(
  member: SignedIn,
  patient: Patient,
  complaint: string,
  screening: ScreeningRow,
): Promise<string> {
  const [clinic, history, measures, programme] = await Promise.all([
    clinicById(member.clinicId),
    newestHistory(patient),
    latestMeasures(patient),
    programmeOf(member.clinicId, patient.id),
  ]);
  if (!clinic) throw new Problem(404, NOT_FOUND);
  const said = history && [
    ['Onset', history.onset],
    ['Worse with', history.aggravates],
    ['Eased by', history.eases],
    ['Medicines', history.medicines],
    ['Earlier treatment', history.earlierCare],
  ];
  return referralLetter({
    patientName: patient.name,
    complaint,
    clinic,
    author: member.name,
    date: todayOf(patient),
    to: '',
    prescribed: programme !== null,
    screening: screening.answers,
    history: (said ?? [])
      .filter(([, text]) => text !== '')
      .map(([name, text]) => `${name}: ${text}`),
    measures: measures.flatMap(({ kind, side, value }) =>
      value === null
        ? []
        : [`${kindOf(kind).name}${side ? ` ${side}` : ''}: ${formatMeasure(kind, value)}`],
    ),
  });
}

/** Keeps the letter. It stays open until an answer is recorded. */
export async function saveReferral(member: SignedIn, draft: ReferralDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const screenings = await screeningsOf(clinicId, patient.id);
  if (!screenings.some((one) => one.id === draft.screeningId)) throw new Problem(404, NOT_FOUND);
  await writeAs(member, 'practitioner', {
    verb: 'wrote',
    subject: { kind: 'referral', id: draft.id },
    statements: (at) =>
      insertReferral({
        ...draft,
        clinicId,
        authorId: member.id,
        createdAt: at,
        localDate: todayOf(patient),
      }),
    isThere: async () =>
      (await referralRows(clinicId, patient.id)).some(({ referral }) =>
        isSameRecord(referral, draft),
      ),
  });
}

/** Records the answer that closes a referral. */
export async function answerReferral(member: SignedIn, draft: ReferralAnswerDraft): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const found = (await referralRows(clinicId, patient.id)).find(
    ({ referral }) => referral.id === draft.referralId,
  );
  if (!found) throw new Problem(404, NOT_FOUND);
  if (draft.answeredOn > todayOf(patient))
    throw new Problem(400, 'The answer cannot be of a day to come.', ['answeredOn']);
  if (draft.answeredOn < found.referral.localDate)
    throw new Problem(400, 'The answer would be older than the letter.', ['answeredOn']);
  await writeAs(member, 'practitioner', {
    verb: 'answered',
    subject: { kind: 'referral', id: draft.referralId },
    statements: (at) =>
      insertReferralAnswer(
        { ...draft, clinicId, authorId: member.id, createdAt: at },
        todayOf(patient),
      ),
    isThere: () => Promise.resolve(found.answers.some((one) => isSameRecord(one, draft))),
  });
}
