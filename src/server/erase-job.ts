import type { Instant } from '@/core/schedule';
import {
  type Actor,
  DatabaseFailure,
  type Erasure,
  GuardRefused,
  type GuardName,
  audit,
  closeDatabase,
  databaseUrl,
  eraseStatements,
  guard,
  memberMay,
  purgeDatabase,
  write,
} from '@/db';

/** An erasure as it crosses over to the thread that carries it out. */
export type EraseOrder = {
  readonly row: Erasure;
  /** The lead's session, which has to hold still when it is carried out. */
  readonly tokenHash: string;
  readonly actor: Actor;
};

/** What became of it: nothing, or everything and whether the file is purged as well. */
export type EraseReport =
  | { readonly kind: 'erased'; readonly purged: boolean }
  | { readonly kind: 'refused'; readonly guard: GuardName | 'other' }
  | { readonly kind: 'failed'; readonly busy: boolean };

/**
 * Erases a record in one batch, with its tombstone and its audit event, and purges the file. It takes
 * as long as there are rows (about a second for sixty thousand) and blocks meanwhile, so a server has a
 * thread do it.
 */
export async function eraseJob({ row, tokenHash, actor }: EraseOrder): Promise<EraseReport> {
  const { clinicId, patientId } = row;
  const at: Instant = row.at;
  try {
    await write(() => [
      guard('access', memberMay(tokenHash, clinicId, ['lead'])),
      ...eraseStatements(row),
      audit({
        clinicId,
        at,
        actor,
        verb: 'erased',
        subject: { kind: 'patient', id: patientId },
      }),
    ]);
  } catch (error) {
    if (error instanceof GuardRefused) return { kind: 'refused', guard: error.guard };
    return { kind: 'failed', busy: error instanceof DatabaseFailure && error.kind === 'busy' };
  }
  // The record is erased by now; what is left to do is tried, with nobody of ours in the journal.
  closeDatabase();
  return purgeDatabase(databaseUrl()).then(
    (purged) => ({ kind: 'erased', purged }) as const,
    () => ({ kind: 'erased', purged: false }) as const,
  );
}
