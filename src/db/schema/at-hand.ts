import { foreignKey, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ClinicId, EpisodeId, MemberId, PatientId } from '@/core/units';
import { episode, member, patient } from './people';

/** Which of a patient's open episodes a member works on: what they write belongs to it. */
export const episodeAtHand = sqliteTable(
  'episode_at_hand',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    memberId: text('member_id').$type<MemberId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    episodeId: text('episode_id').$type<EpisodeId>().notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.patientId, t.memberId] }),
    foreignKey({ columns: [t.clinicId, t.memberId], foreignColumns: [member.clinicId, member.id] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    foreignKey({
      columns: [t.clinicId, t.episodeId],
      foreignColumns: [episode.clinicId, episode.id],
    }),
  ],
);
