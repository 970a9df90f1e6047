import { CLOCK_SLACK_MS, LIST_BOUNDS, SESSION_LIFE } from './bounds';
import type { Instant } from '@/core/schedule';
import { type SQL, and, asc, desc, eq, gt, isNull, lt, ne, or, sql } from 'drizzle-orm';
import type { Role } from '@/core/records';
import type { ClinicId, MemberId } from '@/core/units';
import { type Statement, builder, prepared, read, readOne } from './door';
import { clinic, failedAttempt, knownPlace, member, memberFactor, memberSession } from './schema';

export type Member = Omit<typeof member.$inferSelect, 'passwordHash'>;

const PUBLIC = {
  clinicId: member.clinicId,
  id: member.id,
  name: member.name,
  email: member.email,
  role: member.role,
  active: member.active,
  sees: member.sees,
  issuesLinks: member.issuesLinks,
  fromClinic: member.fromClinic,
  createdAt: member.createdAt,
};

/** Everybody who signs in with an address, in whichever clinic, with the password hash and the clinic's name. */
export function membersToSignIn(email: string) {
  return read((db) =>
    db
      .select({ member, clinicName: clinic.name })
      .from(member)
      .innerJoin(clinic, eq(clinic.id, member.clinicId))
      .where(eq(member.email, email))
      .orderBy(asc(member.createdAt))
      .limit(LIST_BOUNDS.accounts),
  );
}

/** The members of a clinic by name, then those who wrote in a record elsewhere. */
export function membersOf(clinicId: ClinicId): Promise<Member[]> {
  return ofClinic({ clinicId });
}

const ofClinic = prepared<{ clinicId: ClinicId }, Member>((db) =>
  db
    .select(PUBLIC)
    .from(member)
    .where(eq(member.clinicId, sql.placeholder('clinicId')))
    .orderBy(sql`${member.fromClinic} IS NOT NULL`, asc(member.name))
    .limit(LIST_BOUNDS.members)
    .prepare(),
);

export function insertMember(row: typeof member.$inferInsert): Statement {
  return builder().insert(member).values(row);
}

export function setMemberActive(clinicId: ClinicId, id: string, active: boolean): Statement {
  return builder()
    .update(member)
    .set({ active })
    .where(and(eq(member.clinicId, clinicId), eq(member.id, id), isNull(member.fromClinic)));
}

export function insertMemberSession(row: typeof memberSession.$inferInsert): Statement {
  return builder().insert(memberSession).values(row);
}

/** The member behind a session cookie's hash; null when it is unknown, ended, idle or too old. */
export async function memberBySession(tokenHash: string, now: Instant) {
  const [found] = await bySession({
    tokenHash,
    // A session from a time to come is of a clock that was wrong: it would never end.
    until: now + CLOCK_SLACK_MS,
    seenSince: now - SESSION_LIFE.idle,
    begunSince: now - SESSION_LIFE.whole,
  });
  return found ?? null;
}

const bySession = prepared((db) =>
  db
    .select({
      ...PUBLIC,
      lastSeenAt: memberSession.lastSeenAt,
      factorRequired: clinic.factorRequired,
      factorSince: memberFactor.confirmedAt,
    })
    .from(memberSession)
    .innerJoin(
      member,
      and(eq(member.clinicId, memberSession.clinicId), eq(member.id, memberSession.memberId)),
    )
    .innerJoin(clinic, eq(clinic.id, member.clinicId))
    .leftJoin(
      memberFactor,
      and(eq(memberFactor.clinicId, member.clinicId), eq(memberFactor.memberId, member.id)),
    )
    .where(
      and(
        eq(memberSession.tokenHash, sql.placeholder('tokenHash')),
        isNull(memberSession.endedAt),
        eq(member.active, true),
        lt(memberSession.createdAt, sql.placeholder('until')),
        lt(memberSession.lastSeenAt, sql.placeholder('until')),
        gt(memberSession.lastSeenAt, sql.placeholder('seenSince')),
        gt(memberSession.createdAt, sql.placeholder('begunSince')),
      ),
    )
    .limit(1)
    .prepare(),
);

export function touchMemberSession(tokenHash: string, now: Instant): Statement {
  return builder()
    .update(memberSession)
    .set({ lastSeenAt: now })
    .where(and(eq(memberSession.tokenHash, tokenHash), lt(memberSession.lastSeenAt, now)));
}

export function endMemberSession(tokenHash: string, now: Instant): Statement {
  return builder()
    .update(memberSession)
    .set({ endedAt: now })
    .where(eq(memberSession.tokenHash, tokenHash));
}

/** Ends a member's open sessions; those of a condition where one is named. */
function endSessions(clinicId: ClinicId, memberId: MemberId, now: Instant, which?: SQL): Statement {
  return builder()
    .update(memberSession)
    .set({ endedAt: now })
    .where(
      and(
        eq(memberSession.clinicId, clinicId),
        eq(memberSession.memberId, memberId),
        isNull(memberSession.endedAt),
        which,
      ),
    );
}

export function endAllSessionsOf(clinicId: ClinicId, memberId: MemberId, now: Instant): Statement {
  return endSessions(clinicId, memberId, now);
}

/** Ends a member's sessions but one. */
export function endOtherSessionsOf(
  clinicId: ClinicId,
  memberId: MemberId,
  but: string,
  now: Instant,
): Statement {
  return endSessions(clinicId, memberId, now, ne(memberSession.tokenHash, but));
}

/** Ends one session of a member. */
export function endSessionOf(
  clinicId: ClinicId,
  memberId: MemberId,
  tokenHash: string,
  now: Instant,
): Statement {
  return endSessions(clinicId, memberId, now, eq(memberSession.tokenHash, tokenHash));
}

/** A guard's condition: this session still belongs to an active member of the clinic with such a role. */
export function memberMay(tokenHash: string, clinicId: ClinicId, roles: readonly Role[]) {
  const list = sql.join(
    roles.map((role) => sql`${role}`),
    sql`, `,
  );
  return sql`SELECT count(*) FROM ${memberSession}
    JOIN ${member} ON ${member.clinicId} = ${memberSession.clinicId} AND ${member.id} = ${memberSession.memberId}
    WHERE ${memberSession.tokenHash} = ${tokenHash} AND ${memberSession.endedAt} IS NULL
      AND ${member.clinicId} = ${clinicId} AND ${member.active} = 1 AND ${member.role} IN (${list})`;
}

/** A guard's condition: this session's member may issue and end patients' links. */
export function memberIssuesLinks(tokenHash: string, clinicId: ClinicId) {
  return sql`SELECT count(*) FROM ${memberSession}
    JOIN ${member} ON ${member.clinicId} = ${memberSession.clinicId} AND ${member.id} = ${memberSession.memberId}
    WHERE ${memberSession.tokenHash} = ${tokenHash} AND ${memberSession.endedAt} IS NULL
      AND ${member.clinicId} = ${clinicId} AND ${member.active} = 1
      AND (${member.role} <> 'assistant' OR ${member.issuesLinks} = 1)`;
}

export function insertFailedAttempt(what: string, at: Instant): Statement {
  return builder().insert(failedAttempt).values({ what, at });
}

/** Forgets attempts older than `before`, and those of a time to come, which a wrong clock wrote. */
export function forgetAttempts(before: Instant, now: Instant): Statement[] {
  const ahead = gt(failedAttempt.at, (now + CLOCK_SLACK_MS) as Instant);
  return [
    builder()
      .delete(failedAttempt)
      .where(or(lt(failedAttempt.at, before), ahead)),
  ];
}

/** Forgets every attempt at something. */
export function forgetAttemptsAt(what: string): Statement {
  return builder().delete(failedAttempt).where(eq(failedAttempt.what, what));
}

/** Takes back the newest attempt at something. */
export function forgetNewestAttemptAt(what: string): Statement {
  return builder()
    .delete(failedAttempt)
    .where(
      eq(
        failedAttempt.id,
        sql`(SELECT max(${failedAttempt.id}) FROM ${failedAttempt} WHERE ${failedAttempt.what} = ${what})`,
      ),
    );
}

/** A guard's condition: fewer attempts at something than so many since then. */
export function fewerAttempts(what: string, since: Instant, most: number) {
  return sql`SELECT count(*) < ${most} FROM ${failedAttempt}
    WHERE ${failedAttempt.what} = ${what} AND ${failedAttempt.at} > ${since}`;
}

/**
 * A guard's condition: fewer attempts at something than go free since then, or the newest lies so long
 * back as their number asks: the wait doubles with each, up to the longest.
 */
export function waitedLongEnough(
  what: string,
  now: Instant,
  bound: { since: Instant; free: number; firstMs: number; longestMs: number },
) {
  const { since, free, firstMs, longestMs } = bound;
  return sql`SELECT count(*) < ${free}
      OR max(${failedAttempt.at}) <= ${now} - min(${longestMs}, ${firstMs} << min(count(*) - ${free}, 20))
    FROM ${failedAttempt} WHERE ${failedAttempt.what} = ${what} AND ${failedAttempt.at} > ${since}`;
}

/** Keeps that an account was signed in from a place, in the place of when it was before. */
export function putKnownPlace(row: typeof knownPlace.$inferInsert): Statement {
  return builder()
    .insert(knownPlace)
    .values(row)
    .onConflictDoUpdate({ target: knownPlace.place, set: { at: row.at } });
}

/** Whether an account was signed in from a place since then. */
export async function isKnownPlace(place: string, since: Instant, now: Instant): Promise<boolean> {
  const row = await readOne((db) =>
    db
      .select({ at: knownPlace.at })
      .from(knownPlace)
      .where(
        and(
          eq(knownPlace.place, place),
          gt(knownPlace.at, since),
          lt(knownPlace.at, (now + CLOCK_SLACK_MS) as Instant),
        ),
      ),
  );
  return row !== null;
}

/** A member of the clinic's own with the password hash; null when there is none. */
export function memberById(clinicId: ClinicId, id: string) {
  return readOne((db) =>
    db
      .select()
      .from(member)
      .where(and(eq(member.clinicId, clinicId), eq(member.id, id), isNull(member.fromClinic))),
  );
}

export function setPassword(clinicId: ClinicId, id: string, passwordHash: string): Statement {
  return builder()
    .update(member)
    .set({ passwordHash })
    .where(and(eq(member.clinicId, clinicId), eq(member.id, id)));
}

export function setRole(clinicId: ClinicId, id: string, role: Role): Statement {
  return builder()
    .update(member)
    .set({ role })
    .where(and(eq(member.clinicId, clinicId), eq(member.id, id)));
}

/** A guard's condition, after a change in the same batch: somebody can still lead the clinic. */
export function someLead(clinicId: ClinicId) {
  return sql`SELECT count(*) FROM ${member} WHERE ${member.clinicId} = ${clinicId}
    AND ${member.role} = 'lead' AND ${member.active} = 1`;
}

/** A member's sessions that are open, the newest first. */
export function sessionsOf(clinicId: ClinicId, memberId: MemberId, now: Instant) {
  return read((db) =>
    db
      .select({
        tokenHash: memberSession.tokenHash,
        createdAt: memberSession.createdAt,
        lastSeenAt: memberSession.lastSeenAt,
      })
      .from(memberSession)
      .where(
        and(
          eq(memberSession.clinicId, clinicId),
          eq(memberSession.memberId, memberId),
          isNull(memberSession.endedAt),
          gt(memberSession.lastSeenAt, (now - SESSION_LIFE.idle) as Instant),
          gt(memberSession.createdAt, (now - SESSION_LIFE.whole) as Instant),
        ),
      )
      .orderBy(desc(memberSession.createdAt))
      .limit(LIST_BOUNDS.sessions),
  );
}
