import type { Catalogue } from '@/catalogue';
import { type Circumstances, nextRungIn, previousRungIn } from '@/core/choose';
import { LIMBS, type LimbVerdict, type Reading, judgeLimb, limbReadings } from '@/core/follow';
import type { DayReport } from '@/core/history';
import {
  type LineFacts,
  type LineOutlook,
  type Proposal,
  type SessionLog,
  outlooksOf,
} from '@/core/progression';
import type { MeasurementBody } from '@/core/measures';
import type { HomeBody } from '@/core/records';
import type { PrecautionId } from '@/core/screen';
import type { TaughtLine } from '@/core/teach';
import { type TriageLimits, TRIAGE_LIMITS } from '@/core/triage';
import { nerveChange } from '@/core/symptoms';
import { type LocalDate, addDays } from '@/core/units';
import {
  type Clinic,
  type Patient,
  type ProposalDecisionRow,
  homesOf,
  nerveExaminationsOf,
  newestConfirmedOf,
  newestTeachingsOf,
  proposalDecisionsOf,
} from '@/db';
import { catalogueFor } from '../desk/exercises';
import { readReport } from '../patient-questions';
import { type PatientFacts, type SentLine, type SentVersion, factsOf } from '../programme-facts';

/** Proposals read so many days back; what is older belongs to another dose. */
export const OUTLOOK_DAYS = 42;

/** What the clinic set, over the defaults. */
export function limitsOf(clinic: Pick<Clinic, 'triageLimits'> | null): TriageLimits {
  return { ...TRIAGE_LIMITS, ...(JSON.parse(clinic?.triageLimits ?? '{}') as object) };
}

/** A patient's record as far as progression and triage read it. */
export type FollowRecord = {
  readonly facts: PatientFacts;
  readonly reports: ReadonlyMap<LocalDate, DayReport>;
  readonly precautions: readonly PrecautionId[];
  readonly screenedOn: LocalDate | null;
  readonly home: HomeBody | null;
  /** Faults without a fix at the newest teaching, by lineage. */
  readonly faults: ReadonlyMap<string, number>;
  readonly decisions: readonly ProposalDecisionRow[];
  /** The newest nerve examination found less strength or feeling than the one before. */
  readonly deficitGrows: boolean;
};

/** The records of some patients of one clinic, in a handful of queries whatever their number. */
export async function followRecords(
  clinicId: string,
  patients: readonly Patient[],
  from: LocalDate,
  to: LocalDate,
): Promise<FollowRecord[]> {
  if (patients.length === 0) return [];
  const ids = patients.map(({ id }) => id);
  const [facts, screenings, homes, teachings, decisions, nerves] = await Promise.all([
    factsOf(clinicId, patients, from, to),
    newestConfirmedOf(clinicId, ids),
    homesOf(clinicId, ids),
    newestTeachingsOf(clinicId, ids),
    proposalDecisionsOf(clinicId, ids, 20_000),
    nerveExaminationsOf(clinicId, ids),
  ]);
  const decided = new Map<string, ProposalDecisionRow[]>();
  for (const row of decisions)
    decided.set(row.patientId, [...(decided.get(row.patientId) ?? []), row]);
  return facts.map((one): FollowRecord => {
    const { id } = one.patient;
    const screening = screenings.get(id);
    const home = homes.get(id);
    return {
      facts: one,
      reports: new Map(
        one.doneRows.map((row) => [row.localDate as LocalDate, readReport(row)] as const),
      ),
      precautions: screening ? (JSON.parse(screening.precautions) as PrecautionId[]) : [],
      screenedOn: (screening?.localDate ?? null) as LocalDate | null,
      home: home === undefined ? null : (JSON.parse(home) as HomeBody),
      faults: faultsIn(teachings.get(id)),
      decisions: decided.get(id) ?? [],
      deficitGrows: deficitGrows(nerves.filter(({ patientId }) => patientId === id)),
    };
  });
}

/** @param rows nerve examinations, newest first */
function deficitGrows(rows: readonly { readonly details: string | null }[]): boolean {
  const [last, before] = rows.flatMap(({ details }) => {
    const { body } = JSON.parse(details ?? '{}') as { body?: MeasurementBody | null };
    return body?.form === 'nerve' ? [body] : [];
  });
  // What the first examination finds is where it begins, not a change.
  if (!last || !before) return false;
  const { weaker, lessFeeling } = nerveChange(before, last);
  return weaker.length > 0 || lessFeeling.length > 0;
}

function faultsIn(body: string | undefined): ReadonlyMap<string, number> {
  if (body === undefined) return new Map();
  const { lines } = JSON.parse(body) as { lines?: readonly TaughtLine[] };
  return new Map(
    (lines ?? []).map(({ lineage, faults }) => [
      lineage,
      faults.filter(({ fix }) => fix === '').length,
    ]),
  );
}

/** The version whose lines are judged: the newest, also while it is still to begin. */
export function judgedVersion({ facts }: FollowRecord): SentVersion | null {
  return facts.versions.at(-1) ?? null;
}

/** The first day a line has been as it is now, through versions that left it so. */
function sameSince(facts: PatientFacts, line: SentLine): LocalDate | null {
  let since: LocalDate | null = null;
  for (const version of [...facts.versions].reverse()) {
    const then = version.lines.find(({ lineage }) => lineage === line.lineage);
    if (!then || then.text !== line.text) {
      if (since !== null) break;
      continue;
    }
    since = version.effectiveFrom;
  }
  return since;
}

/** What a line's sessions were under its present dose, oldest first. */
export function logsOf({ facts, reports }: FollowRecord, line: SentLine): SessionLog[] {
  const since = sameSince(facts, line);
  if (since === null) return [];
  // A stop counts until somebody lets the programme go on.
  const stopStands = facts.pauses.some(({ to }) => to === null);
  return [...facts.done]
    .filter(([date]) => date >= since)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([date, { sessions }]) =>
      sessions.flatMap((session) =>
        session.lines
          .filter(({ lineage }) => lineage === line.lineage)
          .map((log): SessionLog => ({
            date,
            share: log.share,
            sets: log.sets,
            hold: log.hold,
            effort: session.effort,
            pain: session.pain,
            nextMorning: reports.get(addDays(date, 1))?.soreness ?? null,
            skipped: log.skipped,
            stopped:
              session.state !== 'stopped for a symptom'
                ? 'no'
                : stopStands
                  ? 'stands'
                  : 'let go on',
          })),
      ),
    );
}

/** Every limb that was told of, with what it does. */
export function limbsOf({ reports, deficitGrows }: FollowRecord): LimbVerdict[] {
  return limbSeries(reports).map(({ limb, readings }) => judgeLimb(limb, readings, deficitGrows));
}

/** The limbs anything was ever marked on, with their readings. */
export function limbSeries(reports: ReadonlyMap<LocalDate, DayReport>) {
  const days = [...reports].map(([date, { where, arm, leg }]) => ({
    date,
    // A day on which the places were asked has an order for both chains.
    where: arm === null && leg === null ? null : where,
  }));
  return LIMBS.map((limb) => ({ limb, readings: limbReadings(limb, days) })).filter(
    ({ readings }: { readings: readonly Reading[] }) => readings.some(({ value }) => value >= 0),
  );
}

function limbWord(verdicts: readonly LimbVerdict[]): LineFacts['limb'] {
  const courses = verdicts.map(({ course }) => course);
  if (courses.includes('spreading')) return 'spreading';
  if (verdicts.some(({ better }) => better)) return 'drawing in';
  return courses.length === 0 ? null : 'no clear change';
}

/** What closes or opens steps of the stairs for a patient. */
export function circumstancesIn({ home, precautions }: FollowRecord): Circumstances {
  return { props: home?.props ?? null, cannot: home?.cannot ?? [], precautions };
}

/** Every line's outlook: what its logs ask for, or why it stays. */
export function outlook(
  record: FollowRecord,
  catalogue: Catalogue,
  limits: TriageLimits,
): LineOutlook[] {
  const version = judgedVersion(record);
  if (!version) return [];
  const circumstances = circumstancesIn(record);
  const above = nextRungIn(catalogue.all, circumstances);
  const below = previousRungIn(catalogue.all, circumstances);
  const limb = record.deficitGrows ? 'deficit grows' : limbWord(limbsOf(record));
  return outlooksOf(
    version.lines.flatMap((line): LineFacts[] => {
      const exercise = catalogue.byId(line.exerciseId);
      if (!exercise) return [];
      return [
        {
          lineage: line.lineage,
          exercise,
          dose: line.dose,
          school: line.school,
          logs: logsOf(record, line),
          goodSessions: limits.goodSessions,
          precautions: record.precautions,
          above: above(exercise),
          below: below(exercise),
          owned: record.home?.weights ?? [],
          faults: record.faults.get(line.lineage) ?? 0,
          limb,
        },
      ];
    }),
  );
}

/** The decisions about a version that stand, newest first: each proposal's last word, if not taken back. */
function standingOf({ decisions }: FollowRecord, version: number): ProposalDecisionRow[] {
  const said = new Set<string>();
  return decisions.filter((row) => {
    if (row.version !== version || said.has(row.key)) return false;
    said.add(row.key);
    return row.decision !== 'taken back';
  });
}

/** What was accepted for a version's lines and waits to be written: each line's newest word. */
export function waitingIn(record: FollowRecord, version: number): ProposalDecisionRow[] {
  const seen = new Set<string>();
  return standingOf(record, version).filter(({ lineage, decision }) => {
    if (seen.has(lineage)) return false;
    seen.add(lineage);
    return decision !== 'declined';
  });
}

/** Proposals nobody has decided on since the version they are about. */
export function openProposals(record: FollowRecord, outlooks: readonly LineOutlook[]): Proposal[] {
  const newest = record.facts.versions.at(-1)?.number ?? 0;
  const standing = standingOf(record, newest);
  const decided = new Set(standing.map(({ key }) => key));
  // A line that something was accepted for waits for its version.
  const waiting = new Set(
    standing.filter(({ decision }) => decision !== 'declined').map(({ lineage }) => lineage),
  );
  return outlooks.flatMap((one) =>
    one.kind === 'proposal' && !decided.has(one.proposal.key) && !waiting.has(one.proposal.lineage)
      ? [one.proposal]
      : [],
  );
}

/** Everything that `outlook` needs of a clinic beside its patients. */
export async function clinicContext(clinicId: string) {
  return { catalogue: await catalogueFor(clinicId) };
}
