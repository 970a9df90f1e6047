import { foreignKey, index, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ClinicId, MemberId } from '@/core/units';
import { instant } from './columns';
import { member } from './people';

/** Who of a clinic has gone through a language's texts and stands for them. */
export const languageCheck = sqliteTable(
  'language_check',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').notNull(),
    /** BCP 47. */
    language: text('language').notNull(),
    /** Of all its texts as they were then: another one is not checked. */
    hash: text('hash').notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    createdAt: instant('created_at').notNull(),
    /** Taken back. */
    endedAt: instant('ended_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
    index('language_check_clinic').on(t.clinicId, t.language, t.hash),
  ],
);
