import { nextRungIn, previousRungIn } from '../choose';
import type { Exercise } from '../exercise';
import type { BandCurve } from '../load';
import {
  type LineOutlook,
  type Proposal,
  isDanger,
  isGrowth,
  limbAlarm,
  outlookOf,
} from '../progression';
import type { TriageLimits } from '../records';
import { courseOf } from './course-of';
import { decidedBefore } from './decided';
import { outlookAsBefore } from './kept';
import { limbSince, limbWord, limbsOf } from './limbs';
import {
  type Decided,
  type FollowRecord,
  circumstancesIn,
  judgedVersion,
  precautionsIn,
} from './record';
import { sessionsOf } from './sessions-of';

/** The exercises a clinic chooses from, and the bands whose force it has measured. */
export type Choice = {
  readonly all: readonly Exercise[];
  readonly byId: (id: string) => Exercise | null;
  readonly bands?: readonly BandCurve[];
};

export type OutlookLimits = Pick<TriageLimits, 'goodSessions' | 'leastRungDays'>;

/** Every line's outlook: what its course asks for, or why it stays. */
export function outlook(
  record: FollowRecord,
  catalogue: Choice,
  { goodSessions, leastRungDays }: OutlookLimits,
): LineOutlook[] {
  const version = judgedVersion(record);
  if (!version) return [];
  const circumstances = circumstancesIn(record);
  const rungs = {
    above: nextRungIn(catalogue.all, circumstances),
    below: previousRungIn(catalogue.all, circumstances),
  };
  const limb = limbWord(limbsOf(record), record.deficitSince !== null);
  // Only an alarm is known by its day.
  const since = limbAlarm(limb) === null ? null : limbSince(record);
  const precautions = precautionsIn(record);
  const sessions = sessionsOf(record);
  return version.lines.flatMap((line): LineOutlook[] => {
    const exercise = catalogue.byId(line.exerciseId);
    if (!exercise) return [];
    const { course, lineages } = courseOf(record, line, catalogue.byId, sessions);
    const facts = {
      lineage: line.lineage,
      exercise,
      course,
      school: line.school,
      today: record.facts.today,
      goodSessions,
      leastRungDays,
      precautions,
      owned: record.home?.weights ?? [],
      ownedUnit: record.home?.unit,
      bands: catalogue.bands ?? [],
      faults: record.faults.get(line.lineage) ?? 0,
      limb,
      limbSince: since,
      improvedOn: exercise.strength ? (record.improved.get(exercise.strength) ?? null) : null,
      decided: decidedBefore(record.decisions, lineages, course),
    };
    const given = { ...facts, catalogue: catalogue.all, home: record.home };
    return [outlookAsBefore(line, given, () => outlookOf({ ...facts, rungs }))];
  });
}

/** The decisions about a version that stand: each proposal's last word, if it was not taken back. */
export function standingDecisions<D extends Decided>(
  decisions: readonly D[],
  version: number,
): D[] {
  const said = new Set<string>();
  return decisions.filter((one) => {
    if (one.version !== version || said.has(one.key)) return false;
    said.add(one.key);
    return one.decision !== 'taken back';
  });
}

/**
 * What was accepted for a version's lines and waits to be written: each line's newest word. What
 * changes no dose waits for nothing.
 */
export function waitingIn<D extends Decided>(
  { decisions }: Pick<FollowRecord<D>, 'decisions'>,
  version: number,
): D[] {
  const seen = new Set<string>();
  return standingDecisions(decisions, version).filter(({ lineage, decision, toDose, move }) => {
    if (toDose === null && move !== 'stop') return false;
    if (seen.has(lineage)) return false;
    seen.add(lineage);
    return decision !== 'declined';
  });
}

/**
 * Proposals that are to be decided: what stops or steps back always, until somebody decides on what
 * happened; growth while nothing was accepted for its line that waits for its version.
 */
export function openProposals(record: FollowRecord, outlooks: readonly LineOutlook[]): Proposal[] {
  const newest = judgedVersion(record)?.number ?? 0;
  const waiting = new Set(waitingIn(record, newest).map(({ lineage }) => lineage));
  return outlooks
    .flatMap((one) => (one.kind === 'proposal' ? [one.proposal] : []))
    .filter((proposal) => !isGrowth(proposal) || !waiting.has(proposal.lineage))
    .sort((a, b) => Number(isDanger(b)) - Number(isDanger(a)));
}
