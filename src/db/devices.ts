import { and, desc, eq, isNull, lt, or, sql } from 'drizzle-orm';
import type { Instant } from '@/core/schedule';
import { DAY_MS, type ClinicId, type PatientId } from '@/core/units';
import { LIST_BOUNDS } from './bounds';
import { type Statement, builder, prepared, read, readOne } from './door';
import { clinic, patient, patientDevice, patientLink } from './schema';

export function insertDevice(row: typeof patientDevice.$inferInsert): Statement {
  return builder().insert(patientDevice).values(row);
}

function setOfDevice(
  tokenHash: string,
  fields: Partial<typeof patientDevice.$inferInsert>,
): Statement {
  return builder().update(patientDevice).set(fields).where(eq(patientDevice.tokenHash, tokenHash));
}

/** Keeps a device's proof that the birth date was answered on it, in the place of an earlier one. */
export function putBirthProof(tokenHash: string, birthProof: string): Statement {
  return setOfDevice(tokenHash, { birthProof });
}

/** Keeps which notice was read on a device. */
export function putNoticeRead(tokenHash: string, noticeRead: string): Statement {
  return setOfDevice(tokenHash, { noticeRead });
}

/** Keeps when a device was last used, unless it is known already. */
export function touchDevice(tokenHash: string, at: Instant): Statement {
  return builder()
    .update(patientDevice)
    .set({ lastSeenAt: at })
    .where(
      and(
        eq(patientDevice.tokenHash, tokenHash),
        or(isNull(patientDevice.lastSeenAt), lt(patientDevice.lastSeenAt, at)),
      ),
    );
}

/** The hash of a device's proof; null where the birth date was never answered on it. */
export async function birthProofOf(tokenHash: string): Promise<string | null> {
  const row = await readOne((db) =>
    db
      .select({ proof: patientDevice.birthProof })
      .from(patientDevice)
      .where(eq(patientDevice.tokenHash, tokenHash)),
  );
  return row?.proof ?? null;
}

/** What makes a device hold: neither it nor its link was ended. */
export const deviceStands = and(isNull(patientLink.revokedAt), isNull(patientDevice.endedAt));

/** Joins a device with the link it was opened by. */
export const ofItsLink = and(
  eq(patientLink.clinicId, patientDevice.clinicId),
  eq(patientLink.id, patientDevice.linkId),
);

/**
 * The patient of a device cookie's hash, when it was last used and which notice was read on it; null
 * when it is unknown, it or its link was ended, or it was not used for longer than its clinic lets it be.
 */
export async function patientByDevice(tokenHash: string, now: Instant) {
  const [found] = await byDevice({ tokenHash, now });
  return found ?? null;
}

const byDevice = prepared((db) =>
  db
    .select({
      patient,
      lastSeenAt: patientDevice.lastSeenAt,
      noticeRead: patientDevice.noticeRead,
    })
    .from(patientDevice)
    .innerJoin(patientLink, ofItsLink)
    .innerJoin(clinic, eq(clinic.id, patientDevice.clinicId))
    .innerJoin(
      patient,
      and(eq(patient.clinicId, patientDevice.clinicId), eq(patient.id, patientDevice.patientId)),
    )
    .where(
      and(
        eq(patientDevice.tokenHash, sql.placeholder('tokenHash')),
        deviceStands,
        // One that was not used since this is kept has no time to be counted from; its first use sets it.
        or(
          isNull(patientDevice.lastSeenAt),
          sql`${patientDevice.lastSeenAt} > ${sql.placeholder('now')} - ${clinic.deviceDays} * ${DAY_MS}`,
        ),
      ),
    )
    .limit(1)
    .prepare(),
);

/** A guard's condition: neither the device nor its link was ended. */
export function deviceHolds(tokenHash: string, clinicId: ClinicId, patientId: PatientId) {
  return sql`SELECT count(*) FROM ${patientDevice} JOIN ${patientLink} ON ${ofItsLink}
    WHERE ${patientDevice.tokenHash} = ${tokenHash} AND ${patientDevice.clinicId} = ${clinicId}
      AND ${patientDevice.patientId} = ${patientId} AND ${deviceStands}`;
}

/** The devices of a patient that hold, the one used last first. */
export function devicesOf(clinicId: ClinicId, patientId: PatientId) {
  return read((db) =>
    db
      .select({
        tokenHash: patientDevice.tokenHash,
        createdAt: patientDevice.createdAt,
        lastUsed: patientDevice.lastSeenAt,
      })
      .from(patientDevice)
      .innerJoin(patientLink, ofItsLink)
      .where(
        and(
          eq(patientDevice.clinicId, clinicId),
          eq(patientDevice.patientId, patientId),
          deviceStands,
        ),
      )
      .orderBy(desc(patientDevice.lastSeenAt), desc(patientDevice.createdAt))
      .limit(LIST_BOUNDS.devices),
  );
}

/** Ends one device of a patient. */
export function endDevice(
  clinicId: ClinicId,
  patientId: PatientId,
  tokenHash: string,
  at: Instant,
): Statement {
  return builder()
    .update(patientDevice)
    .set({ endedAt: at })
    .where(
      and(
        eq(patientDevice.clinicId, clinicId),
        eq(patientDevice.patientId, patientId),
        eq(patientDevice.tokenHash, tokenHash),
        isNull(patientDevice.endedAt),
      ),
    );
}
