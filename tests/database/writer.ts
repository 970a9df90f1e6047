import type { Instant } from '@/core/schedule';
import { failedAttempt } from '@/db/schema';
import { createClient } from '@libsql/client';
import { closeDatabase, databaseUrl, migrateDatabase, write } from '@/db';

/**
 * A process of its own for the fault tests: `writer.ts write NAME COUNT` stores rows one by one and
 * prints each once it is acknowledged; `writer.ts hog TIMES` keeps the write lock again and again
 * for longer than the door waits, as a slow backup would.
 */
async function writeRows(name: string, count: number): Promise<void> {
  await migrateDatabase();
  for (let index = 0; index < count; index += 1) {
    const what = `${name}-${index}`;
    await write((db) => [db.insert(failedAttempt).values({ what, at: index as Instant })]);
    process.stdout.write(`${what}\n`);
  }
  closeDatabase();
}

async function hog(times: number): Promise<void> {
  const client = createClient({ url: databaseUrl(), timeout: 5_000 });
  for (let index = 0; index < times; index += 1) {
    const tx = await client.transaction('write');
    await tx.execute('SELECT 1');
    process.stdout.write('held\n');
    await new Promise((resolve) => setTimeout(resolve, 600));
    await tx.commit();
    await new Promise((resolve) => setTimeout(resolve, 120));
  }
  client.close();
}

const [, , job, name = '', count = '0'] = process.argv;
void (job === 'hog' ? hog(Number(name)) : writeRows(name, Number(count)));
