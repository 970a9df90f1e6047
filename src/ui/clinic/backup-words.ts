import type { BackupState } from '@/core/operating';
import type { Zone } from '@/core/schedule';

const when = (at: number, zone: Zone) =>
  new Intl.DateTimeFormat('en-GB', {
    dateStyle: 'medium',
    timeStyle: 'short',
    timeZone: zone,
  }).format(at);

/**
 * How the backups stand, in sentences for the lead.
 *
 * @example backupWords({ kind: 'not set up' }, zone) // ['No backup is set up: …']
 */
export function backupWords(state: BackupState, zone: Zone): string[] {
  switch (state.kind) {
    case 'not set up':
      return [
        'No backup is set up: if this machine fails, every record is lost. Whoever looks after the server sets BACKUP_TO (docs/operating.md).',
      ];
    case 'none yet':
      return ['No backup has been made yet.', ...failed(state.failure)];
    case 'good':
      return [`The newest good backup is of ${when(state.at, zone)}.`, ...failed(state.failure)];
    case 'old':
      return [
        `The newest good backup is of ${when(state.at, zone)}, more than two days ago.`,
        ...failed(state.failure),
      ];
  }
}

const failed = (failure: string | null) =>
  failure === null ? [] : [`The last try failed: ${failure} Tell whoever looks after the server.`];
