import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import Papa from 'papaparse';
import { readLanguageTable } from '@/catalogue/language-table';

/**
 * Takes a translator's spreadsheet in: `npm run language -- texts-es.csv --language es [--data DIR]
 * [--partly]`. Every row is checked; nothing is written while one is wrong, unless `--partly` leaves
 * those in English. The server reads the language when it starts.
 */
const { values, positionals } = parseArgs({
  allowPositionals: true,
  options: {
    language: { type: 'string' },
    data: { type: 'string' },
    partly: { type: 'boolean' },
  },
});

const MOST_SHOWN = 40;

function take(): string {
  const [file] = positionals;
  const { language } = values;
  if (!file || !language) throw new Error('Say which file, and --language TAG.');
  const [tag] = Intl.getCanonicalLocales(language);
  const rows = Papa.parse<Record<string, unknown>>(readFileSync(file, 'utf8'), {
    header: true,
    skipEmptyLines: true,
  }).data;
  const { texts, problems } = readLanguageTable(rows);
  for (const { row, say } of problems.slice(0, MOST_SHOWN))
    console.error(row > 0 ? `row ${row}: ${say}` : say);
  if (problems.length > MOST_SHOWN) console.error(`… and ${problems.length - MOST_SHOWN} more.`);
  if (problems.length > 0 && values.partly !== true)
    throw new Error('Nothing was written. Mend these, or take it in partly.');
  const folder = join(values.data ?? process.env.DATA_DIR ?? 'data', 'languages');
  mkdirSync(folder, { recursive: true });
  const path = join(folder, `${tag}.json`);
  writeFileSync(path, `${JSON.stringify(texts, null, 2)}\n`);
  return `${Object.keys(texts).length} texts written to ${path}. Start the server anew.`;
}

try {
  console.log(take());
} catch (error) {
  console.error(error instanceof Error ? error.message : 'The file could not be read.');
  process.exitCode = 1;
}
