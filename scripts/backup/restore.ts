import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import {
  BackupProblem,
  erasureLines,
  hasErasures,
  linesOf,
  newestMigration,
  restoreBackup,
} from '@/backup';
import { closeDatabase, databaseKey, databaseUrl, prepareDatabase, purgeDatabase } from '@/db';
import { replayErasures } from '@/server/erasures';
import { SECRET_OPTIONS, command, parseArgs, secretOf } from './options';

const MIGRATIONS = join(process.cwd(), 'src/db/migrations');

/**
 * Puts a backup back: `npm run restore -- --from FILE --to DIR --key-file FILE [--erasures FILE]`. What
 * was erased since it was made is erased again; without a list of that nothing is put back, unless
 * `--without-erasures` says that there is none.
 */
command(async () => {
  const { values } = parseArgs({
    options: {
      ...SECRET_OPTIONS,
      from: { type: 'string' },
      to: { type: 'string' },
      erasures: { type: 'string' },
      'without-erasures': { type: 'boolean' },
    },
  });
  const { from, to } = values;
  if (!from || !to) throw new BackupProblem('Say what and where: --from FILE --to DIR.');
  const { madeAt, tables } = await restoreBackup({
    from,
    to,
    secret: secretOf(values),
    newest: newestMigration(readFileSync(join(MIGRATIONS, 'meta/_journal.json'), 'utf8')),
    databaseKey: databaseKey(),
    erasures: values['without-erasures'] ? [] : listFor(from, values.erasures),
  });
  const rows = Object.values(tables).reduce((sum, count) => sum + count, 0);
  console.log(`The record of ${madeAt} stands in ${to}: ${rows} rows.`);
  // Nothing else may be opened meanwhile, whatever the environment says.
  delete process.env.DATABASE_URL;
  process.env.DATA_DIR = to;
  await prepareDatabase({ isNew: false, migrations: MIGRATIONS });
  const erased = await replayErasures({ DATA_DIR: to });
  closeDatabase();
  await purgeDatabase(databaseUrl());
  if (erased > 0) console.log(`${erased} that were erased since are erased again.`);
  console.log(`Look at it with npm run check -- --data ${to}, then start with --data ${to}.`);
});

/** The list of erasures beside a backup, or another one that was named. */
function listFor(from: string, named: string | undefined): string[] {
  if (named !== undefined) {
    if (!existsSync(named)) throw new BackupProblem('There is no list of erasures of this name.');
    return linesOf(named);
  }
  if (!hasErasures(dirname(from)))
    throw new BackupProblem(
      'There is no list of erasures beside this backup, so that erased patients would come back. Name it with --erasures FILE (erasures.jsonl of the data folder), or say --without-erasures.',
    );
  return erasureLines(dirname(from));
}
