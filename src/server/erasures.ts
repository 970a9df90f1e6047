import { addErasures, erasureLines } from '@/backup';
import { ErasureLine } from '@/core/records';
import type { Instant } from '@/core/schedule';
import type { ClinicId, PatientId } from '@/core/units';
import {
  type Erasure,
  LIST_BOUNDS,
  audit,
  clinicById,
  eraseStatements,
  erasureOf,
  erasuresFrom,
  write,
} from '@/db';
import { breather } from './breathe';
import { now } from './clock';

type Environment = Readonly<Record<string, string | undefined>>;

/** Where the lists of erasures stand: beside the database, and beside the backups. */
function folders({ DATA_DIR, BACKUP_TO }: Environment): string[] {
  return [DATA_DIR ?? 'data', ...(BACKUP_TO ? [BACKUP_TO] : [])];
}

const lineOf = ({ clinicId, patientId, at, memberId, reason }: Erasure) =>
  JSON.stringify({ clinicId, patientId, at, memberId, reason } satisfies ErasureLine);

/** Brings the lists up to date with the tombstones. */
export async function keepErasures(environment: Environment = process.env): Promise<void> {
  const lines: string[] = [];
  for (let offset = 0; ; offset += LIST_BOUNDS.erasures) {
    const some = await erasuresFrom(offset, LIST_BOUNDS.erasures);
    lines.push(...some.map(lineOf));
    if (some.length < LIST_BOUNDS.erasures) break;
  }
  for (const folder of folders(environment)) addErasures(folder, lines);
}

/**
 * Erases again what a list names and this record still holds: a backup of before was put back. A line
 * that cannot be read is left: it names nobody.
 *
 * @returns how many were erased
 */
export async function replayErasures(environment: Environment = process.env): Promise<number> {
  const breathe = breather();
  let erased = 0;
  for (const line of new Set(folders(environment).flatMap(erasureLines))) {
    const read = ErasureLine.safeParse(parsed(line));
    if (!read.success) continue;
    const { at, memberId, reason } = read.data;
    const clinicId = read.data.clinicId as ClinicId;
    const patientId = read.data.patientId as PatientId;
    if ((await erasureOf(clinicId, patientId)) || !(await clinicById(clinicId))) continue;
    await write(() => [
      ...eraseStatements({ clinicId, patientId, at: at as Instant, memberId, reason }),
      audit({
        clinicId,
        at: now(),
        actor: { kind: 'system', id: 'list of erasures' },
        verb: 'erased again',
        subject: { kind: 'patient', id: patientId },
      }),
    ]);
    erased += 1;
    await breathe();
  }
  return erased;
}

function parsed(line: string): unknown {
  try {
    return JSON.parse(line);
  } catch {
    return null;
  }
}
