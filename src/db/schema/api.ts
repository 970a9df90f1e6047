import {
  foreignKey,
  index,
  primaryKey,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import type { ClinicId, MemberId } from '@/core/units';
import { instant } from './columns';
import { clinic, member } from './people';

/** A key by which a clinic's own program reads its records. Only the hash of its token is kept. */
export const apiKey = sqliteTable(
  'api_key',
  {
    clinicId: text('clinic_id')
      .$type<ClinicId>()
      .notNull()
      .references(() => clinic.id),
    id: text('id').notNull(),
    /** What it is for, in the lead's words. */
    name: text('name').notNull(),
    tokenHash: text('token_hash').notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
    createdAt: instant('created_at').notNull(),
    endedAt: instant('ended_at'),
    /** When something was read by it last. */
    usedAt: instant('used_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({ columns: [t.clinicId, t.authorId], foreignColumns: [member.clinicId, member.id] }),
    uniqueIndex('api_key_token').on(t.tokenHash),
    index('api_key_clinic').on(t.clinicId, t.createdAt),
  ],
);
