import { CLINIC_CAUTION, ENGLISH } from '@/catalogue';
import { summarise } from '@/core/adherence';
import type { OutcomeLetterDraft } from '@/core/records';
import { type OutcomeLetter, outcomeLetter } from '@/core/review';
import { shortDay } from '@/core/units';
import {
  type OutcomeLetterRow,
  type Patient,
  clinicById,
  closeEpisode,
  episodeIsOpen,
  guard,
  insertOutcomeLetter,
  outcomeLetterById,
} from '@/db';
import type { SignedIn } from '../access';
import { patientFor } from '../people';
import { NOT_FOUND, Problem } from '../problem';
import { writeAs } from '../visit/write-as';
import { lineIn, linesThatGoOn, ownLetter } from './own-letter';
import { type Review, reviewOf, rowInWords } from './review';

/** Signs a letter made from the record; at discharge it also closes the episode of care. */
export async function signLetter(
  member: SignedIn,
  draft: OutcomeLetterDraft,
): Promise<{ id: string }> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const isThere = async () => {
    const there = await outcomeLetterById(clinicId, draft.id);
    return (
      there?.patientId === patient.id &&
      there.kind === draft.kind &&
      there.body.words === draft.words &&
      there.body.forReferrer === draft.forReferrer
    );
  };
  if (await isThere()) return { id: draft.id };
  const [review, clinic] = await Promise.all([reviewOf(member, patient), clinicById(clinicId)]);
  if (!clinic) throw new Problem(404, NOT_FOUND);
  if (draft.forReferrer && !review.mayShare)
    throw new Problem(
      409,
      'The patient has not agreed to sharing. Ask, and record it under Screen, or write it for the patient.',
      ['forReferrer'],
    );
  const letter = letterOf(member, patient, clinic, review, draft);
  await writeAs(member, 'practitioner', {
    verb: draft.kind === 'discharge' ? 'discharged' : 'signed a letter about',
    subject: { kind: 'patient', id: patient.id },
    statements: (at) => [
      ...insertOutcomeLetter({
        clinicId,
        id: draft.id,
        patientId: patient.id,
        createdAt: at,
        authorId: member.id,
        kind: draft.kind,
        body: letter,
        localDate: review.today,
      }),
      ...(draft.kind === 'discharge' && review.episode?.closedOn === null
        ? [
            guard('episode', episodeIsOpen(clinicId, patient.id, review.episode.id)),
            closeEpisode(clinicId, review.episode.id, review.today),
          ]
        : []),
    ],
    isThere,
  });
  return { id: draft.id };
}

function letterOf(
  member: SignedIn,
  patient: Patient,
  clinic: { readonly name: string; readonly phone: string },
  review: Review,
  draft: OutcomeLetterDraft,
): OutcomeLetter {
  const { follow, goals, activities } = review;
  const { sessionsDone, sessionsDue, share } = summarise(follow.days);
  return outcomeLetter({
    kind: draft.kind,
    clinic: { name: clinic.name, phone: clinic.phone },
    patientName: patient.name,
    author: member.name,
    date: review.today,
    complaint: review.complaint,
    from: follow.from,
    forReferrer: draft.forReferrer,
    sessionsDone,
    sessionsDue,
    share,
    verdicts: review.verdicts.map((one) => (draft.forReferrer ? one.referrer : one.patient)),
    limbs: follow.limbs.map(({ say }) => say),
    beside: follow.beside.map(({ date, say }) => `${shortDay(date)} ${say}`),
    measures: review.rows.filter(({ last }) => last !== null).map(rowInWords),
    goals: [
      ...goals.map(
        ({ activity, reachedOn }) =>
          `${activity}: ${reachedOn ? `reached on ${shortDay(reachedOn)}` : 'not reached yet'}`,
      ),
      ...activities.map(({ activity, from, to }) => `${activity}: ${from} → ${to} of 10`),
    ],
    programme: linesThatGoOn(review).map((line) => lineIn(ENGLISH, line)),
    words: draft.words,
    caution: CLINIC_CAUTION,
    own: draft.forReferrer ? null : ownLetter(patient, review, draft.kind),
  });
}

/** A kept letter; null when there is none. */
export async function letterById(
  patient: Patient,
  id: string,
): Promise<{ letter: OutcomeLetter; row: OutcomeLetterRow } | null> {
  const row = await outcomeLetterById(patient.clinicId, id);
  return row && row.patientId === patient.id ? { letter: row.body, row } : null;
}
