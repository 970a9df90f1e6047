import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { BackupProblem, restoreBackup } from '@/backup';
import { SECRET_OPTIONS, command, parseArgs, secretOf } from './options';

/** Puts a backup back: `npm run restore -- --from FILE --to DIR --key-file FILE`. */
command(async () => {
  const { values } = parseArgs({
    options: { ...SECRET_OPTIONS, from: { type: 'string' }, to: { type: 'string' } },
  });
  const { from, to } = values;
  if (!from || !to) throw new BackupProblem('Say what and where: --from FILE --to DIR.');
  const journal = JSON.parse(
    readFileSync(join(process.cwd(), 'src/db/migrations/meta/_journal.json'), 'utf8'),
  ) as { readonly entries: readonly { readonly when: number }[] };
  const newest = Math.max(...journal.entries.map(({ when }) => when));
  const { madeAt, tables } = await restoreBackup({ from, to, secret: secretOf(values), newest });
  const rows = Object.values(tables).reduce((sum, count) => sum + count, 0);
  console.log(
    `The record of ${madeAt} stands in ${to}: ${rows} rows. Look at it with npm run check -- --data ${to}, then start with --data ${to}.`,
  );
});
