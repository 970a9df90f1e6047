import type { Look } from '@/core/records';
import { type Patient, insertLook, write } from '@/db';
import type { SignedIn } from './access';
import { now } from './clock';
import { PERIODS_MS } from './periods';
import { logFailure } from './problem';
import { sessionName } from './secrets';
import { processWide } from '@/db/process-wide';

/** The newest look of each session at each file. */
const newest = processWide<Map<string, number>>('looks');
/** Looks of the last minutes that are kept in mind, so that each is written once. */
const MOST_REMEMBERED = 10_000;

/**
 * Keeps that a member looked into a file or took a document out of it. Pages of one file one after the
 * other are one look; every document is one of its own. A record that cannot be written to just now
 * keeps nobody from a patient's file: the log says so.
 */
export async function noteLook(
  member: SignedIn,
  patient: Pick<Patient, 'clinicId' | 'id'>,
  what: Look,
): Promise<void> {
  const at = now();
  const seen = (newest.value ??= new Map<string, number>());
  const key = `${member.tokenHash} ${patient.id}`;
  const last = seen.get(key) ?? -Infinity;
  if (what === 'file' && at - last < PERIODS_MS.oneLook && at >= last) return;
  try {
    await write(() => [
      insertLook({
        clinicId: patient.clinicId,
        at,
        memberId: member.id,
        patientId: patient.id,
        what,
        session: sessionName(member.tokenHash),
      }),
    ]);
  } catch (error) {
    logFailure('look', error);
    return;
  }
  if (what !== 'file') return;
  if (seen.size >= MOST_REMEMBERED) seen.clear();
  seen.set(key, at);
}
