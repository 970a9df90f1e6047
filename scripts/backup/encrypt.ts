import { cpSync, existsSync, mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { BackupProblem, addErasures, encryptTo, erasureLines } from '@/backup';
import { databaseKey } from '@/db';
import { command, dataFolder, parseArgs } from './options';

/**
 * Writes the record of a stopped server anew, its database encrypted:
 * `DATABASE_KEY_FILE=FILE npm run encrypt -- --data DIR --to NEWDIR`. The old folder stays as it is.
 */
command(async () => {
  const { values } = parseArgs({ options: { data: { type: 'string' }, to: { type: 'string' } } });
  const { to } = values;
  const data = dataFolder(values.data);
  const key = databaseKey();
  if (!to || key === undefined)
    throw new BackupProblem('Say where and with what: DATABASE_KEY_FILE=FILE … --to DIR.');
  const file = join(data, 'dry-lantern.db');
  if (!existsSync(file))
    throw new BackupProblem('There is no database in this folder: --data DIR.');
  if (existsSync(to) && readdirSync(to).length > 0)
    throw new BackupProblem('The folder is not empty. Name one that is, or that is not there yet.');
  mkdirSync(to, { recursive: true, mode: 0o700 });
  const { tables } = await encryptTo(file, join(to, 'dry-lantern.db'), key);
  if (existsSync(join(data, 'languages')))
    cpSync(join(data, 'languages'), join(to, 'languages'), { recursive: true });
  addErasures(to, erasureLines(data));
  const rows = Object.values(tables).reduce((sum, count) => sum + count, 0);
  console.log(
    `${rows} rows, encrypted, in ${to}. Start with --data ${to} and the same DATABASE_KEY_FILE, look, then delete the old folder and its backups of before.`,
  );
});
