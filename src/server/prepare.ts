import { migrateDatabase, optimizeDatabase } from '@/db';
import { firstRunCode } from './first-run';
import { logFailure } from './problem';
import { keepOldFacts } from './visit/old-findings';

/**
 * Migrates, and prints the one-time code of a server without a clinic. A database that cannot be
 * reached must not keep the server from starting: its pages then say what is wrong.
 */
export async function prepareServer(): Promise<void> {
  try {
    await migrateDatabase();
    await keepOldFacts();
    await optimizeDatabase();
    const code = await firstRunCode();
    if (code !== null) {
      console.log(
        `\n  This server has no clinic yet. Open /first-run and type this code: ${code}\n`,
      );
    }
  } catch (error) {
    logFailure('start', error);
  }
}
