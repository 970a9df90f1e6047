import { recordFor } from '@/core/outlook';
import {
  type ComparedBy,
  type EpisodeFacts,
  type EpisodeOf,
  type Evidence,
  episodeFacts,
  evidencePieces,
} from '@/core/evidence';
import { minutesAsked } from '@/core/programme';
import { dateIn } from '@/core/schedule';
import {
  type ClinicId,
  type EpisodeId,
  type LocalDate,
  WEEKDAYS,
  addDays,
  weekday,
} from '@/core/units';
import {
  type EpisodeRow,
  type EvidenceRow,
  LIST_BOUNDS,
  clinicById,
  episodesOf,
  episodesToCount,
  evidenceOf,
  patientsById,
  proposalDecisionsOf,
  putEvidence,
  write,
} from '@/db';
import { breather } from '../breathe';
import { eachClinic } from '../each-clinic';
import { now } from '../clock';
import { catalogueFor } from '../desk/exercises';
import { leased } from '../leases';
import { PERIODS_MS } from '../periods';
import { logFailure, unreadableIn } from '../problem';
import { factsOf } from '../programme-facts';
import { processWide } from '@/db/process-wide';

/**
 * The last day that is counted: the Sunday that has passed, where the clinic is. Counted by whole weeks,
 * so that one patient more from one day to the next cannot be had by subtracting.
 */
async function countedUntil(clinicId: ClinicId): Promise<LocalDate | null> {
  const clinic = await clinicById(clinicId);
  if (!clinic) return null;
  const today = dateIn(clinic.zone, now());
  return addDays(today, -1 - WEEKDAYS.indexOf(weekday(today)));
}

/**
 * Reckons what the clinic's episodes tell that are not reckoned up to the last Sunday, few at a time, and
 * lets everybody in between.
 *
 * @param milliseconds what is left after so long waits for the next time
 * @returns whether nothing is left
 */
export async function refreshEvidence(
  clinicId: ClinicId,
  milliseconds: number = Infinity,
): Promise<boolean> {
  const until = await countedUntil(clinicId);
  if (until === null) return true;
  const by = performance.now() + milliseconds;
  const breathe = breather();
  const { byId } = await catalogueFor(clinicId);
  for (let after: EpisodeId | null = null; ;) {
    const episodes: EpisodeRow[] = await episodesToCount(
      clinicId,
      until,
      after,
      LIST_BOUNDS.evidenceReckoned,
    );
    const last = episodes.at(-1);
    if (!last) return true;
    after = last.id;
    const rows: EvidenceRow[] = [];
    for (const episode of episodes) {
      const { id: episodeId, patientId } = episode;
      const facts = await factsFor(clinicId, episode, until, byId);
      rows.push({ clinicId, episodeId, patientId, until, facts });
      await breathe();
    }
    // Derived from the record alone, so it needs no audit.
    await write(() => [putEvidence(rows)]);
    if (performance.now() > by) return false;
  }
}

/** What one episode tells; null where no programme of it had begun, or its record cannot be read. */
async function factsFor(
  clinicId: ClinicId,
  episode: EpisodeRow,
  until: LocalDate,
  byId: Awaited<ReturnType<typeof catalogueFor>>['byId'],
): Promise<EpisodeFacts | null> {
  const { id, patientId, area, openedOn, closedOn } = episode;
  try {
    const patients = await patientsById(clinicId, [patientId]);
    const [[whole], decisions, all] = await Promise.all([
      factsOf(clinicId, patients, openedOn, until),
      proposalDecisionsOf(clinicId, [patientId]),
      episodesOf(clinicId, patientId),
    ]);
    if (!whole) return null;
    const { facts, reports } = recordFor(
      {
        facts: whole,
        reports: new Map(whole.doneRows.map((row) => [row.localDate, row.report] as const)),
      },
      episode,
      all.filter((other) => other.id !== id),
    );
    return episodeFacts(
      {
        area,
        openedOn,
        closedOn,
        until,
        facts,
        reports,
        decisions,
      },
      (version) => minutesAsked(version, facts.waking, byId, version.effectiveFrom),
    );
  } catch (error) {
    // The morning list names what cannot be read; the others are counted all the same.
    if (unreadableIn(error) === null) throw error;
    return null;
  }
}

/** The clinic's own evidence, and up to which day. */
export async function clinicEvidence(
  clinicId: ClinicId,
  by: ComparedBy,
): Promise<{
  readonly told: Evidence;
  readonly until: LocalDate | null;
  /** False while some episodes are still being reckoned. */
  readonly isWhole: boolean;
}> {
  const isWhole = await refreshEvidence(clinicId, PERIODS_MS.evidenceWaited);
  const until = await countedUntil(clinicId);
  if (until === null) return { told: { kind: 'too few' }, until, isWhole };
  const all: EpisodeOf[] = [];
  const breathe = breather();
  for (let after: EpisodeId | null = null; ;) {
    const rows: Awaited<ReturnType<typeof evidenceOf>> = await evidenceOf(
      clinicId,
      until,
      after,
      LIST_BOUNDS.evidencePage,
    );
    for (const { patientId, facts } of rows) if (facts) all.push({ patient: patientId, facts });
    await breathe();
    const last = rows.at(-1);
    if (!last || rows.length < LIST_BOUNDS.evidencePage) break;
    after = last.episodeId;
  }
  const pieces = evidencePieces(all, by);
  for (;;) {
    const { done, value } = pieces.next();
    if (done === true) return { told: value, until, isWhole };
    await breathe();
  }
}

const begun = processWide<boolean>('evidence');

/** Keeps every clinic's evidence reckoned; once a process. */
export function startEvidence(): void {
  if (begun.value) return;
  begun.value = true;
  const tick = async () => {
    try {
      await leased('evidence', async () => {
        await eachClinic('evidence', (clinicId) =>
          refreshEvidence(clinicId, PERIODS_MS.evidenceBite),
        );
      });
    } catch (error) {
      logFailure('evidence', error);
    }
    setTimeout(() => void tick(), PERIODS_MS.evidence).unref();
  };
  setTimeout(() => void tick(), PERIODS_MS.evidenceFirst).unref();
}
