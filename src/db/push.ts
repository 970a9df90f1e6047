import { and, eq } from 'drizzle-orm';
import type { ClinicId, PatientId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { deviceStands, ofItsLink } from './devices';
import { type Statement, builder, read, readOne } from './door';
import { patientDevice, patientLink, pushServer, pushSubscription } from './schema';

export type PushServer = typeof pushServer.$inferSelect;
export type PushSubscriptionRow = typeof pushSubscription.$inferSelect;

export function pushServerOf(clinicId: ClinicId): Promise<PushServer | null> {
  return readOne((db) => db.select().from(pushServer).where(eq(pushServer.clinicId, clinicId)));
}

export function putPushServer(row: PushServer): Statement {
  const { on, publicKey, privateKey, updatedAt } = row;
  return builder().insert(pushServer).values(row).onConflictDoUpdate({
    target: pushServer.clinicId,
    set: { on, publicKey, privateKey, updatedAt },
  });
}

/** A phone's address for notices, in the place of the one before. */
export function putPushSubscription(row: PushSubscriptionRow): Statement {
  const { patientId, endpoint, p256dh, auth, createdAt } = row;
  return builder()
    .insert(pushSubscription)
    .values(row)
    .onConflictDoUpdate({
      target: [pushSubscription.clinicId, pushSubscription.tokenHash],
      set: { patientId, endpoint, p256dh, auth, createdAt },
    });
}

export function dropPushSubscription(clinicId: ClinicId, tokenHash: string): Statement {
  return builder()
    .delete(pushSubscription)
    .where(and(eq(pushSubscription.clinicId, clinicId), eq(pushSubscription.tokenHash, tokenHash)));
}

/** The phones of a patient that asked for notices and are not ended. */
export async function pushSubscriptionsOf(
  clinicId: ClinicId,
  patientId: PatientId,
): Promise<PushSubscriptionRow[]> {
  const rows = await read((db) =>
    db
      .select({ subscription: pushSubscription })
      .from(pushSubscription)
      .innerJoin(patientDevice, eq(patientDevice.tokenHash, pushSubscription.tokenHash))
      .innerJoin(patientLink, ofItsLink)
      .where(
        and(
          eq(pushSubscription.clinicId, clinicId),
          eq(pushSubscription.patientId, patientId),
          deviceStands,
        ),
      )
      .limit(LIST_BOUNDS.phonesReminded),
  );
  return rows.map(({ subscription }) => subscription);
}
