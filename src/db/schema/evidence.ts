import { foreignKey, index, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { StoredEpisodeFacts } from '@/core/records';
import type { ClinicId, EpisodeId, PatientId } from '@/core/units';
import { date, json } from './columns';
import { episode, patient } from './people';

/**
 * What an episode tells the clinic about its own work, reckoned from the record up to a day. Derived: it
 * may be thrown away, and goes where the patient does not agree any more.
 */
export const episodeEvidence = sqliteTable(
  'episode_evidence',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    episodeId: text('episode_id').$type<EpisodeId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    /** The last day that is counted. */
    until: date('until').notNull(),
    /** Null where no programme had begun, or the record cannot be read. */
    facts: json('facts', 'what an episode tells', StoredEpisodeFacts),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.episodeId] }),
    foreignKey({
      columns: [t.clinicId, t.episodeId],
      foreignColumns: [episode.clinicId, episode.id],
    }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('episode_evidence_patient').on(t.clinicId, t.patientId),
  ],
);
