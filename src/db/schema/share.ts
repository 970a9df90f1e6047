import { foreignKey, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { ShownRecord } from '@/core/records';
import type { ClinicId, MemberId, PatientId } from '@/core/units';
import { instant, json } from './columns';
import { member, patient } from './people';

/** What a desk shows the phone of a patient just now, or showed last: one each, and nobody's record. */
export const share = sqliteTable(
  'share',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    id: text('id').notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    turn: integer('turn').notNull(),
    shown: json('shown', 'what a phone is shown', ShownRecord),
    touchedAt: instant('touched_at').notNull(),
    /** When a phone was last connected. */
    seenAt: instant('seen_at'),
    endedAt: instant('ended_at'),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.patientId] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
  ],
);
