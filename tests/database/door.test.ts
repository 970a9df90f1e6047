import { rmSync } from 'node:fs';
import { type Client, createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import {
  AlreadyThere,
  DatabaseFailure,
  GuardRefused,
  closeDatabase,
  databaseUrl,
  guard,
  insertMemberSession,
  write,
} from '@/db';
import { PATIENCE_MS, read, rowsOf, setPatience } from '@/db/door';
import { processWide } from '@/db/process-wide';
import { failedAttempt } from '@/db/schema';
import { ZONE, instant, makeClinic, member, useDatabase } from '../support/clinic';
import { share } from '../support/runs';
import { temporaryFolder } from '../support/server';
import { startWriter } from '../support/writer-process';

let folder: string;

beforeEach(async () => {
  folder = temporaryFolder('door');
  await useDatabase(folder);
});

afterEach(() => {
  closeDatabase();
  rmSync(folder, { recursive: true, force: true });
});

const start = (...args: string[]) => startWriter(folder, ...args);

async function stored(): Promise<Set<string>> {
  const rows = await read((db) => db.select({ what: failedAttempt.what }).from(failedAttempt));
  return new Set(rows.map((row) => row.what));
}

describe('what was acknowledged is stored', () => {
  it('with two writing processes and a third that keeps the lock longer than they wait', async () => {
    const [holds, writes] = [share(6), process.env.EVERY_CASE ? 1500 : 80];
    const hog = start('hog', String(holds));
    const writers = ['first', 'second'].map((name) => start('write', name, String(writes)));
    await Promise.all([hog.ended, ...writers.map((writer) => writer.ended)]);
    expect(writers.map((writer) => writer.errors())).toEqual(['', '']);
    expect(hog.lines()).toHaveLength(holds);
    const acknowledged = writers.flatMap((writer) => writer.lines());
    expect(acknowledged).toHaveLength(2 * writes);
    const kept = await stored();
    expect(acknowledged.filter((what) => !kept.has(what))).toEqual([]);
    expect(kept.size).toBe(2 * writes);
  }, 360_000);

  it('when the process is killed in the middle', async () => {
    const writer = start('write', 'killed', '100000');
    while (writer.lines().length < 300) await new Promise((resolve) => setTimeout(resolve, 20));
    writer.child.kill('SIGKILL');
    await writer.ended;
    const kept = await stored();
    expect(writer.lines().filter((what) => !kept.has(what))).toEqual([]);
    expect(kept.size).toBeLessThan(100_000);
  }, 240_000);
});

describe('a write that cannot be carried out', () => {
  it('fails loudly when its patience with a lock is over, stores nothing, and the next one works', async () => {
    expect(PATIENCE_MS).toBe(5_000);
    setPatience(700);
    const began = performance.now();
    const other = createClient({ url: databaseUrl(), timeout: 100 });
    const tx = await other.transaction('write');
    await tx.execute('SELECT 1');
    const failing = write((db) => [
      db.insert(failedAttempt).values({ what: 'refused', at: instant(1) }),
    ]);
    await expect(failing).rejects.toEqual(new DatabaseFailure('busy', 'SQLITE_BUSY'));
    expect(performance.now() - began).toBeGreaterThan(700);
    setPatience(null);
    await tx.rollback();
    other.close();
    await write((db) => [db.insert(failedAttempt).values({ what: 'accepted', at: instant(2) })]);
    expect(await stored()).toEqual(new Set(['accepted']));
  }, 80_000);

  it('waits once for all who stand in the queue, not once for each', async () => {
    setPatience(400);
    const other = createClient({ url: databaseUrl(), timeout: 100 });
    const tx = await other.transaction('write');
    await tx.execute('SELECT 1');
    const began = performance.now();
    const failed = await Promise.allSettled(
      Array.from({ length: 12 }, (_, index) =>
        write((db) => [db.insert(failedAttempt).values({ what: `${index}`, at: instant(1) })]),
      ),
    );
    expect(failed.map(({ status }) => status)).toEqual(Array(12).fill('rejected'));
    // One after the other it would be twelve times the patience.
    const waited = performance.now() - began;
    expect(waited).toBeLessThan(8 * 400);
    setPatience(null);
    await tx.rollback();
    other.close();
    await write((db) => [db.insert(failedAttempt).values({ what: 'accepted', at: instant(2) })]);
    expect(await stored()).toEqual(new Set(['accepted']));
  }, 80_000);

  it('stores nothing of a batch whose guard no longer holds', async () => {
    const refused = write((db) => [
      db.insert(failedAttempt).values({ what: 'before the guard', at: instant(1) }),
      guard('version', sql`SELECT 1 = 2`),
    ]);
    await expect(refused).rejects.toBeInstanceOf(GuardRefused);
    await write(() => [guard('access', sql`SELECT count(*) = 0 FROM failed_attempt`)]);
    expect(await stored()).toEqual(new Set());
  });

  it('takes a condition that finds nothing for one that does not hold', async () => {
    await expect(
      write(() => [guard('access', sql`SELECT id FROM clinic LIMIT 1`)]),
    ).rejects.toBeInstanceOf(GuardRefused);
  });

  it('tells a row that is there already apart', async () => {
    const { emails } = await makeClinic('one');
    const lead = await member(emails.lead);
    const again = () =>
      write(() => [
        insertMemberSession({
          tokenHash: lead.tokenHash,
          clinicId: lead.clinicId,
          memberId: lead.id,
          createdAt: instant(1),
          lastSeenAt: instant(1),
        }),
      ]);
    await expect(again()).rejects.toBeInstanceOf(AlreadyThere);
  });

  it('never tells statements or parameters in its error', async () => {
    const planted = 'a patient’s own words';
    const failing = read((db) =>
      db.select({ x: sql`no_such_function(${planted})` }).from(failedAttempt),
    );
    const error: unknown = await failing.catch((thrown: unknown) => thrown);
    expect(error).toBeInstanceOf(DatabaseFailure);
    expect(
      `${String(error)} ${JSON.stringify(error)} ${(error as Error).stack ?? ''}`,
    ).not.toContain(planted);
    expect((error as Error).cause).toBeUndefined();
  });
});

describe('a read', () => {
  /** The client behind the door, which fails once by this. */
  const failingOnce = (say: string) => {
    const client = processWide<{ client: Client }>('database').value?.client;
    if (!client) throw new Error('no database is open');
    return jest.spyOn(client, 'execute').mockRejectedValueOnce(new Error(say));
  };

  it('that meets a lock is made once more, over another connection', async () => {
    await write((db) => [db.insert(failedAttempt).values({ what: 'one', at: instant(1) })]);
    const asked = failingOnce('SQLITE_BUSY: database is locked');
    expect(await stored()).toEqual(new Set(['one']));
    expect(asked).toHaveBeenCalledTimes(2);
    asked.mockRestore();
  });

  it('that fails by anything else fails at once, and its error tells nothing of what was asked', async () => {
    const asked = failingOnce('SQLITE_ERROR: no such column: secret_word');
    const error = await stored().catch((thrown: unknown) => thrown);
    expect(asked).toHaveBeenCalledTimes(1);
    expect(error).toBeInstanceOf(DatabaseFailure);
    expect(String(error)).not.toContain('secret_word');
    asked.mockRestore();
  });
});

describe('one process', () => {
  it('asks the file over one connection, however much is asked at once', async () => {
    // What is temporary is seen by the connection that made it, and by no other.
    await rowsOf(sql`CREATE TEMP TABLE seen_here (n)`);
    const seen = sql<number>`(SELECT count(*) FROM temp.seen_here)`;
    await write((db) => [db.insert(failedAttempt).values({ what: 'one', at: instant(1) })]);
    const asked = Array.from({ length: 12 }, () =>
      read((db) => db.select({ seen }).from(failedAttempt)),
    );
    expect(await Promise.all(asked)).toEqual(Array.from({ length: 12 }, () => [{ seen: 0 }]));
  });

  it('lets many writes at once through, one after the other', async () => {
    await Promise.all(
      Array.from({ length: 200 }, (_, index) =>
        write((db) => [db.insert(failedAttempt).values({ what: `w${index}`, at: instant(index) })]),
      ),
    );
    expect((await stored()).size).toBe(200);
  });

  it('refuses a session that was ended between reading and writing', async () => {
    const clinic = await makeClinic('ended');
    const lead = await member(clinic.emails.lead);
    const { signOut } = await import('@/server/sign-in');
    const { changeClinic } = await import('@/server/people');
    await signOut(lead);
    const draft = { name: 'New', phone: '1', emergencyText: 'x', zone: ZONE };
    await expect(changeClinic(lead, draft)).rejects.toMatchObject({ guard: 'access' });
  });
});
