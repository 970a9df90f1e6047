import { existsSync } from 'node:fs';
import { BackupProblem, makeBackup, makeKeyFile } from '@/backup';
import { databaseKey, fileOfAddress } from '@/db';
import { SECRET_OPTIONS, command, dataFolder, parseArgs, secretOf, urlOf } from './options';

/**
 * Makes a backup, also while the server runs:
 * `npm run backup -- --to DIR --key-file FILE [--data DIR] [--new-key]`.
 */
command(async () => {
  const { values } = parseArgs({
    options: {
      ...SECRET_OPTIONS,
      to: { type: 'string' },
      data: { type: 'string' },
      'new-key': { type: 'boolean' },
    },
  });
  if (!values.to) throw new BackupProblem('Say where the backups stand: --to DIR.');
  if (values['new-key']) {
    if (!values['key-file'])
      throw new BackupProblem('Say where the new key is to stand: --key-file FILE.');
    makeKeyFile(values['key-file']);
    console.log(
      `A new key stands in ${values['key-file']}. Keep a copy of it away from the backups: without it nobody can open them.`,
    );
  }
  const data = dataFolder(values.data);
  const url = urlOf(data);
  const kept = fileOfAddress(url);
  if (kept !== null && !existsSync(kept))
    throw new BackupProblem('There is no database in this folder: --data DIR.');
  const { file, bytes, rows, removed } = await makeBackup({
    url,
    authToken: process.env.DATABASE_AUTH_TOKEN,
    databaseKey: databaseKey(),
    data,
    to: values.to,
    secret: secretOf(values),
    at: Date.now(),
  });
  const megabytes = (bytes / 1024 / 1024).toFixed(1);
  console.log(`${file}: ${rows} rows, ${megabytes} MB, read back and right.`);
  if (removed > 0)
    console.log(`${removed} older ${removed === 1 ? 'one was' : 'ones were'} removed.`);
});
