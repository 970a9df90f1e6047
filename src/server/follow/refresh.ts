import { BATCHES, PERIODS_MS } from '../periods';
import { later } from '@/core/schedule';
import type { ClinicId } from '@/core/units';
import {
  GuardRefused,
  type Patient,
  type TriageRow,
  clinicIds,
  countWithoutTriage,
  guard,
  newestAudit,
  nothingWrittenSince,
  optimizeDatabase,
  patientsWithoutTriage,
  putTriageRows,
  write,
} from '@/db';
import { breather } from '../breathe';
import { now } from '../clock';
import { leased } from '../leases';
import { logFailure, unreadableIn } from '../problem';
import { escalate } from './escalation';
import { triageRows, unreadableRow } from './triage';

/** How much is reckoned at once, and for how long; what is left is said, and done in the background. */
export type RefreshBounds = { readonly chunk: number; readonly milliseconds: number };
const ALL: RefreshBounds = { chunk: BATCHES.triage, milliseconds: Infinity };

/**
 * Reckons the rows of the clinic that do not hold any more, a chunk at a time.
 *
 * @returns how many are left
 */
export async function refreshTriage(clinicId: ClinicId, bounds = ALL): Promise<number> {
  const until = performance.now() + bounds.milliseconds;
  const breathe = breather();
  let refused = 0;
  for (;;) {
    await breathe();
    const seen = await newestAudit(clinicId);
    const patients = await patientsWithoutTriage(clinicId, now(), bounds.chunk);
    if (patients.length === 0) return 0;
    if (performance.now() > until) return countWithoutTriage(clinicId, now());
    const rows = await rowsOf(clinicId, patients);
    try {
      // Derived from the record alone, so it needs no audit: anyone's next look makes the same.
      await write(() =>
        refused < BATCHES.triageTries
          ? [guard('triage', nothingWrittenSince(clinicId, seen)), putTriageRows(rows)]
          : [
              putTriageRows(
                rows.map((row) => ({ ...row, staleAt: later(now(), PERIODS_MS.triageStale) })),
              ),
            ],
      );
      refused = 0;
    } catch (error) {
      // What was reckoned is not of the newest record: once more.
      if (!(error instanceof GuardRefused)) throw error;
      refused += 1;
    }
  }
}

/** The rows of these patients; one whose record cannot be read keeps nobody else from theirs. */
async function rowsOf(clinicId: ClinicId, patients: readonly Patient[]): Promise<TriageRow[]> {
  try {
    return await triageRows(clinicId, patients);
  } catch (error) {
    const say = unreadableIn(error);
    if (say === null) throw error;
    const [only, ...others] = patients;
    if (!only) return [];
    if (others.length === 0) return [unreadableRow(only, say)];
    const rows: TriageRow[] = [];
    for (const patient of patients) rows.push(...(await rowsOf(clinicId, [patient])));
    return rows;
  }
}

/**
 * The background reckons few patients at once and lets everybody in between them, so that a phone
 * never waits longer than for one patient's row.
 */
const BITE: RefreshBounds = {
  chunk: BATCHES.triageBackground,
  milliseconds: PERIODS_MS.triageBite,
};
const KEY = Symbol.for('dry-lantern.triage');

/** Keeps the rows of every clinic reckoned, so that a morning's first look is quick; once a process. */
export function startTriage(): void {
  const shared = globalThis as unknown as Record<symbol, boolean | undefined>;
  if (shared[KEY]) return;
  shared[KEY] = true;
  const tick = async () => {
    try {
      await leased('triage', async () => {
        for (const clinicId of await clinicIds()) {
          await escalate(clinicId);
          await refreshTriage(clinicId, BITE);
        }
        await optimizeDatabase();
      });
    } catch (error) {
      logFailure('triage', error);
    }
    setTimeout(() => void tick(), PERIODS_MS.triage).unref();
  };
  setTimeout(() => void tick(), PERIODS_MS.triage).unref();
}
