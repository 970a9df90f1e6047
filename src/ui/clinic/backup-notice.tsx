import { type BackupState, backupsNeedLook } from '@/core/operating';
import type { Zone } from '@/core/schedule';
import { backupWords } from './backup-words';

/** How the backups stand; marked where somebody has to look. */
export function BackupNotice({ state, zone }: { state: BackupState; zone: Zone }) {
  return (
    <div className={backupsNeedLook(state) ? 'border-l-2 border-stop pl-2' : ''}>
      {backupWords(state, zone).map((say) => (
        <p key={say}>{say}</p>
      ))}
    </div>
  );
}
