import { readOldFinding } from '@/core/findings';
import {
  AlreadyThere,
  type FindingRow,
  audit,
  findingsWithoutFacts,
  insertFinding,
  write,
} from '@/db';
import { v5 as uuidFrom } from 'uuid';
import { breather } from '../breathe';
import { now } from '../clock';

/** Rows looked at in one go. */
const BITE = 100;

/** A name space of our own, so that the same old row always gives the same new one. */
const SPACE = '6d5f0a4e-5c1b-4f0e-9a55-0b9f2a3f7c11';

/**
 * Findings from before their facts were kept: each that can be read by the rules of its time gets a
 * superseding row with its facts beside the same words, author and day. What cannot be read stays as
 * it is and asks the clinician. Safe to call at every start, by several processes at once.
 *
 * @returns how many were given their facts
 */
export async function keepOldFacts(): Promise<number> {
  const breathe = breather();
  let given = 0;
  for (let after: string | null = ''; after !== null;) {
    const from: string = after;
    let read: FindingRow[] = [];
    try {
      await write(async () => {
        const rows = await findingsWithoutFacts(from, BITE);
        after = rows.at(-1)?.id ?? null;
        read = rows.flatMap((row) => supersedingRow(row) ?? []);
        return read.flatMap(statementsFor);
      });
      given += read.length;
    } catch (error) {
      // Another process was quicker with the same rows.
      if (!(error instanceof AlreadyThere)) throw error;
    }
    await breathe();
  }
  return given;
}

function supersedingRow(row: FindingRow): FindingRow | null {
  const about = readOldFinding(row);
  return about && { ...row, about, id: uuidFrom(row.id, SPACE), createdAt: now() };
}

function statementsFor(row: FindingRow) {
  return [
    ...insertFinding(row),
    audit({
      clinicId: row.clinicId,
      at: row.createdAt,
      actor: { kind: 'system', id: 'release' },
      verb: 'kept the facts of',
      subject: { kind: 'finding', id: row.id },
    }),
  ];
}
