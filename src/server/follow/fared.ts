import { addDays, type ClinicId } from '@/core/units';
import { newestProposalDecisions, patientById } from '@/db';
import { todayOf } from '../programme-facts';
import { followRecords } from './outlook';
import { afterDecision } from './decided';

/** How the clinic's decisions on one kind of proposal went. */
export type Fared = {
  readonly move: string;
  readonly accepted: number;
  readonly edited: number;
  readonly declined: number;
  /** Of those taken: worst pain in the fortnight after clearly lower, clearly higher, neither. */
  readonly lower: number;
  readonly higher: number;
  readonly unclear: number;
};

const MOST_DECISIONS = 200;
/** A decision and its fortnight are looked for so far back. */
const FARED_DAYS = 120;

/** The clinic's newest decisions by kind of proposal, beside what the pain did after. It claims no cause. */
export async function faredOf(clinicId: ClinicId): Promise<Fared[]> {
  const rows = await newestProposalDecisions(clinicId, MOST_DECISIONS);
  const ids = [...new Set(rows.map(({ patientId }) => patientId))];
  const patients = (await Promise.all(ids.map((id) => patientById(clinicId, id)))).flatMap(
    (patient) => patient ?? [],
  );
  const [first] = patients;
  if (!first) return [];
  const today = todayOf(first);
  const records = await followRecords(clinicId, patients, addDays(today, -FARED_DAYS), today);
  const recordOf = new Map(records.map((record) => [record.facts.patient.id, record]));
  const byMove = new Map<string, Fared>();
  const takenBack = new Set<string>();
  for (const row of rows) {
    const about = `${row.patientId} ${row.version} ${row.key}`;
    if (row.decision === 'taken back') takenBack.add(about);
    // Newest first: what was taken back came before.
    if (row.decision === 'taken back' || takenBack.delete(about)) continue;
    const record = recordOf.get(row.patientId);
    const known = byMove.get(row.move) ?? {
      move: row.move,
      accepted: 0,
      edited: 0,
      declined: 0,
      lower: 0,
      higher: 0,
      unclear: 0,
    };
    const after = row.decision === 'declined' || !record ? null : afterDecision(row, record);
    const lower = after !== null && after.low > 0.5;
    const higher = after !== null && after.high < 0.5;
    byMove.set(row.move, {
      ...known,
      [row.decision]: known[row.decision] + 1,
      lower: known.lower + Number(lower),
      higher: known.higher + Number(higher),
      unclear: known.unclear + Number(row.decision !== 'declined' && !lower && !higher),
    });
  }
  return [...byMove.values()].sort((a, b) => a.move.localeCompare(b.move));
}
