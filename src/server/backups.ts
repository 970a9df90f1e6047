import { newestBackup } from '@/backup/make';
import { type BackupState, backupStateAt, backupsNeedLook } from '@/core/operating';
import type { BackupReport, BackupTask } from '@/backup/backup.worker';
import { databaseKey, databaseUrl } from '@/db';
import { now } from './clock';
import { leased } from './leases';
import { logError } from './log';
import { logFailure } from './problem';
import { PERIODS_MS } from './periods';
import { processWide } from '@/db/process-wide';

/** Why the last try failed; gone with the process. */
const place = processWide<{ failure: string | null; running: boolean }>('backups');
const shared = () => (place.value ??= { failure: null, running: false });

type Environment = Readonly<Record<string, string | undefined>>;

/** Reads from the folder itself, so that every process says the same. */
export function backupState(environment: Environment = process.env): BackupState {
  const { BACKUP_TO } = environment;
  if (!BACKUP_TO) return { kind: 'not set up' };
  return backupStateAt(newestBackup(BACKUP_TO), shared().failure, now());
}

/** As `backupState` where somebody has to look; null else. A clinic for show needs no backups. */
export function backupWarning(environment: Environment = process.env): BackupState | null {
  const state = backupState(environment);
  if (environment.DEMO === '1' && state.kind === 'not set up') return null;
  return backupsNeedLook(state) ? state : null;
}

/**
 * Makes the backup of the day where one is due.
 *
 * @param make does it; in a thread of its own on a server
 * @returns whether one was tried
 */
export async function backupIfDue(
  make: (task: BackupTask) => Promise<BackupReport>,
  environment: Environment = process.env,
): Promise<boolean> {
  const { BACKUP_TO, DATA_DIR, DATABASE_AUTH_TOKEN } = environment;
  const place = shared();
  if (!BACKUP_TO || place.running) return false;
  const newest = newestBackup(BACKUP_TO);
  if (newest !== null && now() - newest < PERIODS_MS.backup) return false;
  place.running = true;
  try {
    const report = await make({
      url: databaseUrl(),
      authToken: DATABASE_AUTH_TOKEN,
      databaseKey: databaseKey(),
      data: DATA_DIR ?? 'data',
      to: BACKUP_TO,
      at: now(),
      locks: {
        keyFile: environment.BACKUP_KEY_FILE,
        passphraseFile: environment.BACKUP_PASSPHRASE_FILE,
        passphrase: environment.BACKUP_PASSPHRASE,
      },
    });
    place.failure = report.ok ? null : report.say;
    if (!report.ok) logError({ where: 'backup', failure: report.say });
    return true;
  } finally {
    place.running = false;
  }
}

/** Looks after the backups while the server runs; once a process. */
export function startBackups(make: (task: BackupTask) => Promise<BackupReport>): void {
  const tick = () =>
    void leased('backups', () => backupIfDue(make)).catch((error: unknown) =>
      logFailure('backup', error),
    );
  setTimeout(tick, PERIODS_MS.backupFirst).unref();
  setInterval(tick, PERIODS_MS.backupLooked).unref();
}
