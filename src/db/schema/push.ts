import { foreignKey, index, integer, primaryKey, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { ClinicId, PatientId } from '@/core/units';
import { instant } from './columns';
import { clinic, patient } from './people';

/** A clinic's keys for notices to phones (VAPID, RFC 8292), made when it turned them on. */
export const pushServer = sqliteTable('push_server', {
  clinicId: text('clinic_id')
    .$type<ClinicId>()
    .primaryKey()
    .references(() => clinic.id),
  on: integer('is_on', { mode: 'boolean' }).notNull(),
  publicKey: text('public_key').notNull(),
  /** Signs what the clinic sends, and is shown to nobody. */
  privateKey: text('private_key').notNull(),
  updatedAt: instant('updated_at').notNull(),
});

/** A phone that asked for notices: where its maker takes them, and its keys (RFC 8291). */
export const pushSubscription = sqliteTable(
  'push_subscription',
  {
    clinicId: text('clinic_id').$type<ClinicId>().notNull(),
    patientId: text('patient_id').$type<PatientId>().notNull(),
    /** Of the patient's device: what is ended there is not reminded. */
    tokenHash: text('token_hash').notNull(),
    endpoint: text('endpoint').notNull(),
    p256dh: text('p256dh').notNull(),
    auth: text('auth').notNull(),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [
    primaryKey({ columns: [t.clinicId, t.tokenHash] }),
    foreignKey({
      columns: [t.clinicId, t.patientId],
      foreignColumns: [patient.clinicId, patient.id],
    }),
    index('push_subscription_patient').on(t.clinicId, t.patientId),
  ],
);
