import { existsSync } from 'node:fs';
import { BackupProblem, contentsOf } from '@/backup';
import { closeDatabase, databaseKey, fileOfAddress } from '@/db';
import { checkRecord } from '@/server/check/record-check';
import { command, dataFolder, parseArgs, urlOf } from './options';

/** Says whether a record is whole: `npm run check -- --data DIR`. Changes nothing. */
command(async () => {
  const { values } = parseArgs({ options: { data: { type: 'string' } } });
  const data = dataFolder(values.data);
  const url = urlOf(data);
  process.env.DATA_DIR = data;
  const file = fileOfAddress(url);
  if (file !== null) {
    if (!existsSync(file))
      throw new BackupProblem('There is no database in this folder: --data DIR.');
    const { tables } = await contentsOf(file, databaseKey());
    console.log(`The file is whole: ${Object.keys(tables).length} tables.`);
  }
  const { rows, patients, days, photos, faults } = await checkRecord();
  closeDatabase();
  for (const fault of faults) console.log(fault);
  console.log(
    `${rows} rows, ${patients} patients, ${days} days with their events, ${photos} photos: ${
      faults.length === 0 ? 'all is well.' : `${faults.length} things are not as they should be.`
    }`,
  );
  if (faults.length > 0) process.exitCode = 1;
});
