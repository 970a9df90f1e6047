import { rowsInThread } from '@/server/follow/rows-thread';
import { later } from '@/core/schedule';
import type { ClinicId, PatientId } from '@/core/units';
import {
  GuardRefused,
  alarmedWithoutRow,
  countWithoutTriage,
  forgetChanges,
  guard,
  newestAudit,
  changesTold,
  nothingWrittenOf,
  optimizeDatabase,
  patientsWithoutRow,
  patientsWithoutTriage,
  putTriageRows,
  waitingTriage,
  write,
} from '@/db';
import { afterAnswer } from '../after-answer';
import { atMostEvery } from '../at-most-every';
import { breather } from '../breathe';
import { eachClinic } from '../each-clinic';
import { now } from '../clock';
import { leased } from '../leases';
import { BATCHES, PERIODS_MS } from '../periods';
import { logFailure } from '../problem';
import { escalate } from './escalation';
import { processWide } from '@/db/process-wide';

/** How much is reckoned at once, and for how long; what is left is said, and done in the background. */
export type RefreshBounds = { readonly chunk: number; readonly milliseconds: number };
const ALL: RefreshBounds = { chunk: BATCHES.triage, milliseconds: Infinity };

/**
 * Reckons the rows of the clinic that do not hold any more, a chunk at a time, in a thread.
 *
 * @returns how many are left
 */
export async function refreshTriage(clinicId: ClinicId, bounds = ALL): Promise<number> {
  const until = performance.now() + bounds.milliseconds;
  const breathe = breather();
  let refused = 0;
  for (;;) {
    await breathe();
    const ids = await patientsWithoutTriage(clinicId, now(), bounds.chunk);
    if (ids.length === 0) return 0;
    if (performance.now() > until) return countWithoutTriage(clinicId, now());
    refused = (await reckon(clinicId, ids, refused >= BATCHES.triageTries)) ? 0 : refused + 1;
  }
}

/**
 * Reckons the rows of these patients and keeps them.
 *
 * @param forNow keeps them although the record goes on being written, for a moment only
 * @returns false where the record was written meanwhile, so that they were not kept
 */
async function reckon(
  clinicId: ClinicId,
  ids: readonly PatientId[],
  forNow = false,
): Promise<boolean> {
  const seen = await newestAudit(clinicId);
  const rows = await rowsInThread(clinicId, ids);
  if (rows.length === 0) return true;
  const staleAt = later(now(), PERIODS_MS.triageStale);
  try {
    // Derived from the record alone, so it needs no audit: anyone's next look makes the same.
    await write(() =>
      forNow
        ? [putTriageRows(rows.map((row) => ({ ...row, staleAt })))]
        : [guard('triage', nothingWrittenOf(clinicId, ids, seen)), putTriageRows(rows)],
    );
    return true;
  } catch (error) {
    if (!(error instanceof GuardRefused)) throw error;
    return false;
  }
}

/** So few are waited for; with more, such as after midnight, the rows of before are shown meanwhile. */
const FEW = 25;
/** Patients with an open alert and no row, who are waited for before anybody else. */
const ALARMED = 10;
/** The longest that somebody who looks waits for rows, in milliseconds. */
const LOOK_MS = 1_000;

/**
 * Makes the rows ready for somebody who looks at the list. Who has an open alert is reckoned first, then
 * whoever has no row at this moment: who is written to meanwhile comes with the next look. Where many rows
 * are only past their time, as after midnight, nobody waits for them: they are shown as they were, and
 * reckoned in the background once they are shown.
 *
 * @returns how many are left
 */
export async function readyForLook(clinicId: ClinicId): Promise<number> {
  const { missing, stale } = await waitingTriage(clinicId, now());
  if (missing + stale === 0) return 0;
  const until = performance.now() + LOOK_MS;
  if (missing + stale <= FEW)
    await reckonSurely(clinicId, await patientsWithoutTriage(clinicId, now(), FEW));
  else {
    // A new alert takes the row away; one of before stands in the row that is shown meanwhile.
    if (missing > 0) await reckonSurely(clinicId, await alarmedWithoutRow(clinicId, ALARMED));
    for (let done = 0; done < missing && performance.now() < until; done += FEW)
      await reckonSurely(clinicId, await patientsWithoutRow(clinicId, FEW));
    afterAnswer(() => refreshBehind(clinicId));
  }
  return countWithoutTriage(clinicId, now());
}

/** Keeps the rows of these patients, for a moment only where they are written to all the time. */
async function reckonSurely(clinicId: ClinicId, ids: readonly PatientId[]): Promise<void> {
  if (ids.length === 0) return;
  const kept = await reckon(clinicId, ids);
  if (!kept) await reckon(clinicId, ids, true);
}

/** Clinics whose rows are being reckoned in the background. */
const behind = (processWide<Set<ClinicId>>('triage-behind').value ??= new Set<ClinicId>());

async function refreshBehind(clinicId: ClinicId): Promise<void> {
  if (behind.has(clinicId)) return;
  behind.add(clinicId);
  try {
    await refreshTriage(clinicId, BITE);
  } catch (error) {
    logFailure('triage', error);
  } finally {
    behind.delete(clinicId);
  }
}

/**
 * Forgets, each time it is asked, the changes that were there when it was asked the last time: whoever keeps
 * a record in memory has looked through them since, or let the record go.
 */
export function forgettingChanges(): () => Promise<void> {
  let before: number | null = null;
  return async () => {
    const { newest } = await changesTold();
    const upTo = before;
    // Nothing of the record goes, so it needs no audit.
    if (upTo !== null) await write(() => [...forgetChanges(upTo)]);
    before = newest;
  };
}

/** The background reckons few patients at once, so that whoever looks at the list is let in between. */
const BITE: RefreshBounds = {
  chunk: BATCHES.triageBackground,
  milliseconds: PERIODS_MS.triageBite,
};
const begun = processWide<boolean>('triage');

/** Keeps the rows of every clinic reckoned, so that a morning's first look is quick; once a process. */
export function startTriage(): void {
  if (begun.value) return;
  begun.value = true;
  const statistics = atMostEvery(PERIODS_MS.statistics, optimizeDatabase);
  const forgetting = atMostEvery(PERIODS_MS.changes, forgettingChanges());
  const tick = async () => {
    try {
      await leased('triage', async () => {
        await eachClinic('triage', async (clinicId) => {
          await escalate(clinicId);
          await refreshBehind(clinicId);
        });
        await statistics();
        await forgetting();
      });
    } catch (error) {
      logFailure('triage', error);
    }
    setTimeout(() => void tick(), PERIODS_MS.triage).unref();
  };
  setTimeout(() => void tick(), PERIODS_MS.triage).unref();
}
