import { endRowsThread } from '@/server/follow/rows-thread';
import {
  StartRefused,
  checkpoint,
  closeDatabase,
  databaseUrl,
  optimizeDatabase,
  prepareDatabase,
  purgeDatabase,
} from '@/db';
import { makeSearchTexts } from './details';
import { keepErasures, replayErasures } from './erasures';
import { firstRunCode } from './first-run';
import { logFailure } from './problem';
import { sealAudit } from './seals';
import { keepOldFacts } from './visit/old-findings';

/**
 * Migrates, and prints the one-time code of a server without a clinic. A remote database that cannot be
 * reached must not keep the server from starting: its pages then say what is wrong. A database that is
 * missing, damaged or of a newer edition does: nothing may be written beside it.
 */
export async function prepareServer(): Promise<void> {
  try {
    await prepareDatabase({ isNew: process.env.NEW_CLINIC === '1' });
    // A backup of before an erasure may have been put back, by the command or by hand.
    if ((await replayErasures()) > 0) await purgeDatabase(databaseUrl());
    await keepErasures();
    await keepOldFacts();
    await makeSearchTexts();
    const code = await firstRunCode();
    if (code !== null) {
      console.log(
        `\n  This server has no clinic yet. Open /first-run and type this code: ${code}\n  or open it with the code: ${process.env.PUBLIC_URL ?? ''}/first-run#${code}\n`,
      );
    }
    // Last: it writes, and what a full disk refuses it must keep from nobody.
    await optimizeDatabase();
  } catch (error) {
    if (error instanceof StartRefused) {
      console.error(`\n  Dry Lantern cannot start: ${error.say}\n`);
      process.exit(1);
    }
    logFailure('start', error);
  }
}

/** The last thing a server does: its journal is folded into its file, so that the file alone is whole. */
export async function closeServer(): Promise<void> {
  await endRowsThread();
  await sealAudit().catch((error: unknown) => logFailure('seal', error));
  await checkpoint();
  closeDatabase();
}
