import { and, eq, sql } from 'drizzle-orm';
import type { Instant } from '@/core/schedule';
import { CLOCK_SLACK_MS } from './bounds';
import { type Statement, builder, readOne } from './door';
import { lease } from './schema';

/**
 * Takes or renews a lease, unless another holds it. One from a time to come is of a clock that was
 * wrong, and holds nothing.
 */
export function takeLease(
  row: typeof lease.$inferInsert,
  now: Instant,
  longest: number,
): Statement {
  const { holder, until } = row;
  return builder()
    .insert(lease)
    .values(row)
    .onConflictDoUpdate({
      target: lease.name,
      set: { holder, until },
      setWhere: sql`${lease.holder} = ${holder} OR ${lease.until} <= ${now} OR ${lease.until} > ${now + longest + CLOCK_SLACK_MS}`,
    });
}

/** Gives a lease back. */
export function endLease(name: string, holder: string): Statement {
  return builder()
    .delete(lease)
    .where(and(eq(lease.name, name), eq(lease.holder, holder)));
}

/** Who holds a lease; null when nobody does. */
export async function leaseHolder(name: string): Promise<string | null> {
  const row = await readOne((db) =>
    db.select({ holder: lease.holder }).from(lease).where(eq(lease.name, name)),
  );
  return row?.holder ?? null;
}
