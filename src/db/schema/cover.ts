import { foreignKey, index, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ClinicId, MemberId } from '@/core/units';
import { date, instant } from './columns';
import { member } from './people';

/** Who answers for a practitioner who is away, and on which days. */
export const cover = sqliteTable(
  'cover',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    id: text('id').notNull(),
    /** Who is away. */
    memberId: text('member_id').$type<MemberId>().notNull(),
    coveredBy: text('covered_by').$type<MemberId>().notNull(),
    fromDate: date('from_date').notNull(),
    /** The last day away, included. */
    toDate: date('to_date').notNull(),
    authorId: text('author_id').$type<MemberId>().notNull(),
    createdAt: instant('created_at').notNull(),
    /** Back earlier, or not away after all. */
    endedAt: instant('ended_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.id] }),
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
    foreignKey({
      columns: [t.clinicId, t.coveredBy],
      foreignColumns: [member.clinicId, member.id],
    }),
    foreignKey({ columns: [t.clinicId, t.authorId], foreignColumns: [member.clinicId, member.id] }),
    index('cover_clinic').on(t.clinicId, t.toDate),
  ],
);
