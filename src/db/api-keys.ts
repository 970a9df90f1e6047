import { and, desc, eq, isNull, sql } from 'drizzle-orm';
import type { Instant } from '@/core/schedule';
import type { ClinicId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { type Statement, builder, read, readOne } from './door';
import { apiKey } from './schema';

export type ApiKey = typeof apiKey.$inferSelect;

export function insertApiKey(row: typeof apiKey.$inferInsert): Statement {
  return builder().insert(apiKey).values(row);
}

/** A clinic's keys, the newest first. */
export function apiKeysOf(clinicId: ClinicId): Promise<ApiKey[]> {
  return read((db) =>
    db
      .select()
      .from(apiKey)
      .where(eq(apiKey.clinicId, clinicId))
      .orderBy(desc(apiKey.createdAt))
      .limit(LIST_BOUNDS.apiKeys),
  );
}

/** The key behind a token's hash that was not ended; null where there is none. */
export function apiKeyBehind(tokenHash: string): Promise<ApiKey | null> {
  return readOne((db) =>
    db
      .select()
      .from(apiKey)
      .where(and(eq(apiKey.tokenHash, tokenHash), isNull(apiKey.endedAt))),
  );
}

export function endApiKey(clinicId: ClinicId, id: string, at: Instant): Statement {
  return builder()
    .update(apiKey)
    .set({ endedAt: at })
    .where(and(eq(apiKey.clinicId, clinicId), eq(apiKey.id, id), isNull(apiKey.endedAt)));
}

export function touchApiKey({ clinicId, id }: ApiKey, at: Instant): Statement {
  return builder()
    .update(apiKey)
    .set({ usedAt: at })
    .where(and(eq(apiKey.clinicId, clinicId), eq(apiKey.id, id)));
}

/** A guard's condition: fewer keys are open than so many. */
export function fewerApiKeys(clinicId: ClinicId, most: number) {
  return sql`SELECT count(*) < ${most} FROM ${apiKey} WHERE ${apiKey.clinicId} = ${clinicId} AND ${apiKey.endedAt} IS NULL`;
}

/** A guard's condition: this key was not ended. */
export function apiKeyHolds({ clinicId, id }: ApiKey) {
  return sql`SELECT count(*) FROM ${apiKey} WHERE ${apiKey.clinicId} = ${clinicId} AND ${apiKey.id} = ${id} AND ${apiKey.endedAt} IS NULL`;
}
