import { waitingIn } from '@/core/outlook';
import { formatDose, parseDose } from '@/core/dose';
import { keptSetUp } from '@/core/set-up';
import type { LineDraft, ProposalDecisionDraft, ProposalsSend } from '@/core/records';
import { insertProposalDecision, proposalDecisionsOf } from '@/db';
import type { SignedIn } from '../access';
import { catalogueFor } from '../desk/exercises';
import { patientFor } from '../people';
import { Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { saveProgramme } from '../save-programme';
import { isSameRecord, writeAs } from '../visit/write-as';
import { type ProposalsView, differenceOf, proposalsOf, recordOf, undecidedIn } from './proposals';

/** Keeps what a practitioner says to a proposal that the record still makes. */
export async function decideProposal(
  member: SignedIn,
  draft: ProposalDecisionDraft,
): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const view = await proposalsOf(patient);
  const { id, key, decision, reason, version } = draft;
  const isThere = (await proposalDecisionsOf(member.clinicId, [patient.id])).some((one) =>
    isSameRecord(one, {
      id,
      key,
      decision,
      reason,
      // Taken back is what waits, whatever the newest version.
      ...(decision !== 'taken back' && { version }),
      ...(decision === 'edited' && { toDose: editedDose(draft.dose ?? '') }),
    }),
  );
  if (isThere) return;
  const subject = view?.version === draft.version ? subjectOf(view, draft) : null;
  if (!subject)
    throw new Problem(
      409,
      'The record proposes something else by now. Load the page again and look at that.',
    );
  await writeAs(member, 'practitioner', {
    verb:
      draft.decision === 'taken back'
        ? 'took back a decision of'
        : `${draft.decision} a proposal of`,
    subject: { kind: 'patient', id: patient.id },
    statements: (at) =>
      insertProposalDecision({
        ...subject,
        clinicId: member.clinicId,
        id: draft.id,
        patientId: patient.id,
        createdAt: at,
        authorId: member.id,
        decision: draft.decision,
        reason: draft.reason,
        localDate: todayOf(patient),
      }),
  });
}

/** What is decided about: an open proposal, or, to take it back, one that waits to be written. */
function subjectOf({ open, waiting, version }: ProposalsView, draft: ProposalDecisionDraft) {
  if (draft.decision === 'taken back') return waiting.find(({ key }) => key === draft.key) ?? null;
  const proposal = open.find(({ key }) => key === draft.key);
  if (!proposal) return null;
  const { key, move, event, asks, exercise, from, becomes, why, lineage, to } = proposal;
  if (draft.decision === 'accepted' && move === 'choose load')
    throw new Problem(400, 'Choose one of the lines, or write another.', ['dose']);
  return {
    key,
    lineage,
    version,
    move,
    event,
    asks,
    exerciseId: exercise.id,
    fromDose: from,
    toDose: draft.decision === 'edited' ? editedDose(draft.dose ?? '') : to,
    // An edited dose is for the exercise as it is, unless the step itself was taken.
    toExerciseId: becomes?.id ?? null,
    why,
  };
}

function editedDose(text: string): string {
  const parsed = parseDose(text);
  if (!parsed.ok) throw new Problem(400, parsed.say, ['dose'], { character: parsed.at });
  return formatDose(parsed.value);
}

/** Gathers what was accepted into the next version; the patient sees it from its date. */
export async function sendAccepted(member: SignedIn, draft: ProposalsSend) {
  const patient = await patientFor(member, draft.patientId);
  const [record, catalogue] = await Promise.all([recordOf(patient), catalogueFor(member.clinicId)]);
  const newest = record.facts.versions.at(-1);
  if (!newest || newest.number !== draft.basedOn)
    throw new Problem(409, 'Somebody has written a newer version. Load the page again.');
  const changing = waitingIn(record, newest.number);
  const undecided = await undecidedIn(patient);
  if (undecided.length > 0)
    throw new Problem(
      409,
      `Something has gone wrong since with ${undecided.join(', ')}: decide on that first, or take back what was accepted.`,
    );
  if (changing.length === 0)
    throw new Problem(400, 'Nothing is accepted that would change the programme.');
  const lines = newest.lines.flatMap((line): LineDraft[] => {
    const row = changing.find(({ lineage }) => lineage === line.lineage);
    if (row && row.toDose === null) return [];
    const exerciseId = row?.toExerciseId ?? line.exerciseId;
    const text = row?.toDose ?? line.text;
    const dose = parseDose(text);
    const exercise = catalogue.byId(exerciseId);
    return [
      {
        lineage: row?.toExerciseId != null ? null : line.lineage,
        exerciseId,
        dose: text,
        school: line.school,
        session: line.session,
        episodeId: line.episodeId ?? null,
        overrides: [...line.overrides],
        setUp: exercise ? keptSetUp(line.setUp, exercise, dose.ok ? dose.value : null) : [],
      },
    ];
  });
  if (lines.length === 0)
    throw new Problem(
      400,
      'Nothing would be left of the programme. Pause it, or write another on the Plan desk.',
    );
  const said = differenceOf(newest, changing, catalogue.byId).join('; ');
  return saveProgramme(member, {
    patientId: patient.id,
    basedOn: newest.number,
    effectiveFrom: draft.effectiveFrom,
    reviewOn:
      newest.reviewOn !== null && newest.reviewOn >= draft.effectiveFrom ? newest.reviewOn : null,
    rounds: newest.rounds,
    reason: `Accepted proposals: ${said}`.slice(0, 400),
    lines,
  });
}
