import { foreignKey, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { ClinicId, MemberId } from '@/core/units';
import { instant } from './columns';
import { member } from './people';

/** The address of a member's calendar of next visits; only the hash of its token is kept. */
export const visitCalendar = sqliteTable(
  'visit_calendar',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    tokenHash: text('token_hash').notNull(),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.memberId] }),
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
    uniqueIndex('visit_calendar_token').on(t.tokenHash),
  ],
);
