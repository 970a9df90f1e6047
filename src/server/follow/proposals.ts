import { type Dose, formatDose, parseDose, untimed } from '@/core/dose';
import { type NonOverlap, nonOverlap } from '@/core/statistics';
import { worstPain } from '@/core/history';
import { type LineOutlook, type Proposal, type Weighed, weighProposals } from '@/core/progression';
import { fullestDay, plannedLine, versionDifference } from '@/core/programme';
import type { LineDraft, ProposalDecisionDraft, ProposalsSend } from '@/core/records';
import { type LocalDate, type Seconds, addDays, formatSeconds, seconds } from '@/core/units';
import {
  type Patient,
  type ProposalDecisionRow,
  clinicById,
  insertProposalDecision,
  membersOf,
  proposalDecisionsOf,
} from '@/db';
import type { SignedIn } from '../access';
import { catalogueFor } from '../desk/exercises';
import { patientFor } from '../people';
import { Problem } from '../problem';
import { type SentVersion, todayOf } from '../programme-facts';
import { earliestStart, saveProgramme } from '../save-programme';
import { writeAs } from '../visit/write-as';
import {
  type FollowRecord,
  OUTLOOK_DAYS,
  followRecords,
  limitsOf,
  openProposals,
  waitingIn,
  outlook,
} from './outlook';

/** A decision as pages show it, with what happened after. */
export type PastDecision = {
  readonly row: ProposalDecisionRow;
  readonly name: string;
  readonly author: string;
  /** Worst pain in the fortnight before and after, by non-overlap; null with too few days. */
  readonly after: { readonly share: number; readonly low: number; readonly high: number } | null;
};

export type ProposalsView = {
  readonly version: number;
  readonly earliest: LocalDate;
  readonly open: readonly Proposal[];
  readonly weighed: Weighed;
  readonly stays: readonly {
    readonly lineage: string;
    readonly name: string;
    readonly why: string;
  }[];
  /** Accepted or edited, and waiting for the next version. */
  readonly waiting: readonly ProposalDecisionRow[];
  /** The lines' names, by lineage. */
  readonly names: ReadonlyMap<string, string>;
  /** What the next version would change, in words. */
  readonly difference: readonly string[];
};

export type ShownProposals = {
  readonly version: number;
  readonly earliest: LocalDate;
  readonly open: readonly {
    readonly key: string;
    readonly lineage: string;
    readonly move: string;
    readonly name: string;
    readonly becomes: string | null;
    readonly from: string;
    readonly to: string | null;
    readonly why: string;
    readonly source: string;
    readonly beyond: boolean;
  }[];
  readonly stays: ProposalsView['stays'];
  /** Accepted and not written yet. */
  readonly waiting: readonly { readonly key: string; readonly name: string }[];
  readonly difference: readonly string[];
  readonly minutes: { readonly now: string; readonly all: string; readonly has: string | null };
};

/** The record progression reads, of one patient. */
export async function recordOf(patient: Patient): Promise<FollowRecord> {
  const today = todayOf(patient);
  const [record] = await followRecords(
    patient.clinicId,
    [patient],
    addDays(today, -OUTLOOK_DAYS),
    today,
  );
  if (!record) throw new Error('the record of one patient');
  return record;
}

/** What stands to be decided about a patient's lines; null without a programme. */
export async function proposalsOf(patient: Patient): Promise<ProposalsView | null> {
  const [record, catalogue, clinic, earliest] = await Promise.all([
    recordOf(patient),
    catalogueFor(patient.clinicId),
    clinicById(patient.clinicId),
    earliestStart(patient),
  ]);
  const newest = record.facts.versions.at(-1);
  if (!newest) return null;
  const outlooks = outlook(record, catalogue, limitsOf(clinic));
  const open = openProposals(record, outlooks);
  const waiting = waitingIn(record, newest.number);
  return {
    version: newest.number,
    earliest,
    open,
    weighed: weighProposals(open, patient.minutesADay, (accepted) =>
      secondsWith(record, newest, catalogue.byId, accepted, earliest),
    ),
    stays: stayingIn(outlooks, newest),
    waiting,
    names: new Map(newest.lines.map(({ lineage, exercise }) => [lineage, exercise.name])),
    difference: waiting.length === 0 ? [] : differenceOf(newest, waiting, catalogue.byId),
  };
}

/** The same as the Follow page and the review show it. */
export async function shownProposals(patient: Patient): Promise<ShownProposals | null> {
  const view = await proposalsOf(patient);
  if (!view) return null;
  const { version, earliest, open, weighed, stays, waiting, difference } = view;
  const minutes = (value: Seconds) => formatSeconds(value);
  return {
    version,
    earliest,
    open: open.map((proposal) => ({
      key: proposal.key,
      lineage: proposal.lineage,
      move: proposal.move,
      name: proposal.exercise.name,
      becomes: proposal.becomes?.name ?? null,
      from: proposal.from,
      to: proposal.to,
      why: proposal.why,
      source: proposal.source,
      beyond: weighed.beyond.includes(proposal.key),
    })),
    stays,
    waiting: waiting.map(({ key, lineage }) => ({
      key,
      name: view.names.get(lineage) ?? '',
    })),
    difference,
    minutes: {
      now: minutes(weighed.now),
      all: minutes(weighed.withAll),
      has: patient.minutesADay === null ? null : `${patient.minutesADay} min`,
    },
  };
}

function stayingIn(outlooks: readonly LineOutlook[], version: SentVersion) {
  return outlooks.flatMap((one) =>
    one.kind === 'stay'
      ? [
          {
            lineage: one.lineage,
            name: version.lines.find(({ lineage }) => lineage === one.lineage)?.exercise.name ?? '',
            why: one.step.why,
          },
        ]
      : [],
  );
}

type ById = Awaited<ReturnType<typeof catalogueFor>>['byId'];

/** Least seconds on the fullest day of the newest version with some proposals accepted. */
function secondsWith(
  { facts }: FollowRecord,
  version: SentVersion,
  byId: ById,
  accepted: readonly Proposal[],
  from: LocalDate,
): Seconds {
  const lines = version.lines.flatMap((line) => {
    const change = accepted.find(({ lineage }) => lineage === line.lineage);
    const exercise = change?.becomes ?? byId(line.exerciseId);
    if (!exercise || change?.move === 'stop') return [];
    const dose = change?.dose ?? line.dose;
    return [plannedLine(line.lineage, exercise, dose, line.anchor, line.school, line.session)];
  });
  const frame = { from, review: version.reviewOn, rounds: version.rounds };
  return fullestDay(lines, frame, facts.waking)?.total.least ?? seconds(0);
}

function differenceOf(
  version: SentVersion,
  waiting: readonly ProposalDecisionRow[],
  byId: ById,
): string[] {
  const before = version.lines.map(({ lineage, exercise, dose, session }) => ({
    lineage,
    name: exercise.name,
    dose,
    session,
  }));
  const after = before.flatMap((line) => {
    const row = waiting.find(({ lineage }) => lineage === line.lineage);
    if (!row) return [line];
    if (row.move === 'stop' && row.toDose === null) return [];
    const dose = row.toDose === null ? line.dose : readDoseLine(row.toDose);
    return row.toExerciseId === null
      ? [{ ...line, dose }]
      : [
          {
            ...line,
            lineage: `${line.lineage} next`,
            name: byId(row.toExerciseId)?.name ?? row.toExerciseId,
            dose,
          },
        ];
  });
  const { rounds } = version;
  return versionDifference({ rounds, lines: before }, { rounds, lines: after });
}

function readDoseLine(text: string): Dose {
  const parsed = parseDose(text);
  if (!parsed.ok) throw new Error('a stored dose line cannot be read');
  return parsed.value;
}

/** Keeps what a practitioner says to a proposal that the record still makes. */
export async function decideProposal(
  member: SignedIn,
  draft: ProposalDecisionDraft,
): Promise<void> {
  const patient = await patientFor(member, draft.patientId);
  const view = await proposalsOf(patient);
  const there = (await proposalDecisionsOf(member.clinicId, [patient.id])).some(
    ({ id, decision }) => id === draft.id && decision === draft.decision,
  );
  if (there) return;
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
    statements: (at) => [
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
    ],
  });
}

/** What is decided about: an open proposal, or, to take it back, one that waits to be written. */
function subjectOf({ open, waiting, version }: ProposalsView, draft: ProposalDecisionDraft) {
  if (draft.decision === 'taken back') return waiting.find(({ key }) => key === draft.key) ?? null;
  const proposal = open.find(({ key }) => key === draft.key);
  if (!proposal) return null;
  const { key, move, exercise, from, becomes, why, lineage, to } = proposal;
  return {
    key,
    lineage,
    version,
    move,
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
  const refusal = untimed(parsed.value);
  if (refusal !== null) throw new Problem(400, refusal, ['dose']);
  return formatDose(parsed.value);
}

/** Gathers what was accepted into the next version; the patient sees it from its date. */
export async function sendAccepted(member: SignedIn, draft: ProposalsSend) {
  const patient = await patientFor(member, draft.patientId);
  const [record, catalogue] = await Promise.all([recordOf(patient), catalogueFor(member.clinicId)]);
  const newest = record.facts.versions.at(-1);
  if (!newest || newest.number !== draft.basedOn)
    throw new Problem(409, 'Somebody has written a newer version. Load the page again.');
  const waiting = waitingIn(record, newest.number);
  const changing = waiting.filter(({ toDose, move }) => toDose !== null || move === 'stop');
  if (changing.length === 0)
    throw new Problem(400, 'Nothing is accepted that would change the programme.');
  const lines = newest.lines.flatMap((line): LineDraft[] => {
    const row = changing.find(({ lineage }) => lineage === line.lineage);
    if (row && row.toDose === null) return [];
    return [
      {
        lineage: row?.toExerciseId != null ? null : line.lineage,
        exerciseId: row?.toExerciseId ?? line.exerciseId,
        dose: row?.toDose ?? line.text,
        school: line.school,
        session: line.session,
        overrides: [...line.overrides],
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

/** How many days on either side of a decision are compared. */
const AFTER_DAYS = 14;
const LEAST_DAYS_A_SIDE = 4;

/** Every decision about a patient's proposals, with what the pain did after it. It claims no cause. */
export async function pastDecisions(
  patient: Patient,
  record: FollowRecord,
): Promise<PastDecision[]> {
  const [rows, members, catalogue] = await Promise.all([
    proposalDecisionsOf(patient.clinicId, [patient.id], 60),
    membersOf(patient.clinicId),
    catalogueFor(patient.clinicId),
  ]);
  const names = new Map(members.map(({ id, name }) => [id, name]));
  return rows.map((row) => ({
    row,
    name: catalogue.byId(row.exerciseId)?.name ?? row.exerciseId,
    author: names.get(row.authorId) ?? '',
    after: afterDecision(row, record),
  }));
}

/** Worst pain in the fortnight after a decision against the one before; null with too few days. */
export function afterDecision(
  { localDate }: Pick<ProposalDecisionRow, 'localDate'>,
  { reports }: FollowRecord,
): NonOverlap | null {
  const on = localDate as LocalDate;
  const within = (from: LocalDate, to: LocalDate) =>
    [...reports].flatMap(([date, report]) =>
      date >= from && date <= to ? (worstPain(report) ?? []) : [],
    );
  const before = within(addDays(on, -AFTER_DAYS), on);
  const after = within(addDays(on, 1), addDays(on, AFTER_DAYS));
  const enough = Math.min(before.length, after.length) >= LEAST_DAYS_A_SIDE;
  return enough ? nonOverlap(before, after, 'less') : null;
}
