import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BackupReport } from '@/backup/backup.worker';
import { backupIfDue, backupState, backupWarning } from './backups';
import { setClock } from './clock';

jest.mock('./log', () => ({ logError: () => undefined }));

const HOUR_MS = 3_600_000;
const MADE = Date.parse('2026-11-28T02:30:00Z');
const NAME = 'dry-lantern-20261128T023000Z.dlbackup';

let to: string;
beforeEach(() => {
  to = mkdtempSync(join(tmpdir(), 'dry-lantern-backups-'));
  (globalThis as unknown as Record<symbol, unknown>)[Symbol.for('dry-lantern.backups')] = undefined;
});
afterEach(() => {
  setClock(null);
  rmSync(to, { recursive: true, force: true });
});
const hoursLater = (hours: number) => setClock(() => MADE + hours * HOUR_MS);
const made = () => writeFileSync(join(to, NAME), '');

describe('how backups stand', () => {
  it('is told: none set up, none yet, good, or older than two days', () => {
    expect(backupState({})).toEqual({ kind: 'not set up' });
    expect(backupState({ BACKUP_TO: to })).toEqual({ kind: 'none yet', failure: null });
    made();
    hoursLater(48);
    expect(backupState({ BACKUP_TO: to })).toEqual({ kind: 'good', at: MADE, failure: null });
    setClock(() => MADE + 48 * HOUR_MS + 1);
    expect(backupState({ BACKUP_TO: to })).toMatchObject({ kind: 'old', at: MADE });
  });

  it('warns wherever it is not good, but in a clinic for show', () => {
    expect(backupWarning({})).toEqual({ kind: 'not set up' });
    expect(backupWarning({ DEMO: '1' })).toBeNull();
    expect(backupWarning({ BACKUP_TO: to, DEMO: '1' })).toEqual({
      kind: 'none yet',
      failure: null,
    });
    made();
    hoursLater(1);
    expect(backupWarning({ BACKUP_TO: to })).toBeNull();
  });
});

describe('the backup of the day', () => {
  const good: BackupReport = { ok: true, rows: 1, bytes: 1 };

  it('is made when none is there or the newest is a day old, where a place is set', async () => {
    const tasks: unknown[] = [];
    const make = async (task: unknown) => {
      tasks.push(task);
      return good;
    };
    expect(await backupIfDue(make, {})).toBe(false);
    hoursLater(0);
    expect(await backupIfDue(make, { BACKUP_TO: to, BACKUP_KEY_FILE: '/key' })).toBe(true);
    expect(tasks).toEqual([
      expect.objectContaining({
        to,
        at: MADE,
        locks: { keyFile: '/key', passphraseFile: undefined, passphrase: undefined },
      }),
    ]);
    made();
    setClock(() => MADE + 24 * HOUR_MS - 1);
    expect(await backupIfDue(make, { BACKUP_TO: to })).toBe(false);
    hoursLater(24);
    expect(await backupIfDue(make, { BACKUP_TO: to })).toBe(true);
  });

  it('that failed is told until one is good, and is never made twice at once', async () => {
    const failure = 'There is no room left where the backups stand.';
    await backupIfDue(async () => ({ ok: false, say: failure }), { BACKUP_TO: to });
    expect(backupState({ BACKUP_TO: to })).toEqual({ kind: 'none yet', failure });
    let end: (report: BackupReport) => void = () => undefined;
    const slow = () => new Promise<BackupReport>((resolve) => (end = resolve));
    const running = backupIfDue(slow, { BACKUP_TO: to });
    expect(await backupIfDue(slow, { BACKUP_TO: to })).toBe(false);
    end(good);
    expect(await running).toBe(true);
    expect(backupState({ BACKUP_TO: to })).toEqual({ kind: 'none yet', failure: null });
  });
});
