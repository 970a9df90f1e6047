import { type Choice, openProposals, outlook, waitingIn } from '@/core/outlook';
import { type Dose, formatDose, parseDose } from '@/core/dose';
import {
  type LineOutlook,
  MOVE_CLASS,
  type Proposal,
  isDanger,
  isGrowth,
  type ShownProposals,
  type Weighed,
  weighProposals,
} from '@/core/progression';
import { type SentVersion, fullestDay, plannedLine, versionDifference } from '@/core/programme';
import { type LocalDate, type Seconds, addDays, formatSeconds, seconds } from '@/core/units';
import { type Patient, type ProposalDecisionRow, clinicById } from '@/db';
import { todayOf } from '../programme-facts';
import { earliestStart } from '../save-programme';
import {
  OUTLOOK_DAYS,
  type PatientRecord,
  clinicContext,
  followRecords,
  limitsOf,
} from './outlook';

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

/** The record progression reads, of one patient. */
export async function recordOf(patient: Patient): Promise<PatientRecord> {
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
  const [record, { catalogue }, clinic, earliest] = await Promise.all([
    recordOf(patient),
    clinicContext(patient.clinicId),
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

/** Names of lines whose growth waits to be written and that something has gone wrong with since. */
function undecidedOf({ open, waiting, names }: ProposalsView): string[] {
  const waits = new Set(waiting.filter(isGrowth).map(({ lineage }) => lineage));
  return open
    .filter((proposal) => isDanger(proposal) && waits.has(proposal.lineage))
    .map(({ lineage, exercise }) => names.get(lineage) ?? exercise.name);
}

/** The same, read anew: what was accepted is not written over it. */
export async function undecidedIn(patient: Patient): Promise<string[]> {
  const view = await proposalsOf(patient);
  return view ? undecidedOf(view) : [];
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
      kind: MOVE_CLASS[proposal.move],
      name: proposal.exercise.name,
      becomes: proposal.becomes?.name ?? null,
      from: proposal.from,
      to: proposal.to,
      choices: proposal.choices.map(({ dose, say }) => ({ line: formatDose(dose), say })),
      asks: proposal.asks,
      why: proposal.why,
      source: proposal.source,
      beyond: weighed.beyond.includes(proposal.key),
    })),
    stays,
    waiting: waiting.map(({ key, lineage }) => ({
      key,
      name: view.names.get(lineage) ?? '',
    })),
    undecided: undecidedOf(view),
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

type ById = Choice['byId'];

/** Least seconds on the fullest day of the newest version with some proposals accepted. */
function secondsWith(
  { facts }: PatientRecord,
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

export function differenceOf(
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
