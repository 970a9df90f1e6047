export { type BackupMade, type BackupOrder, makeBackup, newestBackup } from './make';
export { contentsOf, encryptTo } from './database';
export { addErasures, erasureLines, hasErasures, linesOf } from './erasures-file';
export { newestMigration } from './pack';
export { BackupProblem } from './problem';
export { restoreBackup } from './restore';
export { type Secret, makeKeyFile, secretFrom } from './secret';
