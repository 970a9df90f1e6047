import { createClient } from '@libsql/client';
import { databaseUrl } from '@/db/door';

/** Every row of the database by its table, each as text. */
export type Rows = ReadonlyMap<string, ReadonlySet<string>>;

/** All rows of this process's database, read by a connection of its own. */
export async function allRows(): Promise<Rows> {
  const client = createClient({ url: databaseUrl(), intMode: 'number' });
  try {
    const names = await client.execute(
      "select name from sqlite_master where type = 'table' and name not like 'sqlite_%' and name not like '__drizzle%' order by name",
    );
    // One after the other: asked at once, each table opens a connection that reads the schema anew.
    const tables = names.rows.map((row) => row.name as string);
    const found = await client.batch(tables.map((table) => `select * from "${table}"`));
    return new Map(
      tables.map((table, nth) => [
        table,
        new Set((found[nth]?.rows ?? []).map((one) => rowText({ ...one }))),
      ]),
    );
  } finally {
    client.close();
  }
}

/**
 * A look at whether anything at all was written since, cheaper than reading every row: the database
 * counts what other connections write.
 */
export function writeCounter(): { count(): Promise<number>; close(): void } {
  const client = createClient({ url: databaseUrl(), intMode: 'number' });
  return {
    async count() {
      const { rows } = await client.execute('pragma data_version');
      return rows[0]?.data_version as number;
    },
    close: () => client.close(),
  };
}

/** Pictures are as an encoder makes them: that they are there is enough. */
function rowText(row: Record<string, unknown>): string {
  return JSON.stringify(row, (_, value: unknown) =>
    value instanceof ArrayBuffer || ArrayBuffer.isView(value) ? '<bytes>' : value,
  );
}

/** What a write changed: rows that came and rows that went. */
export function changedRows(before: Rows, after: Rows): string[] {
  return [...after].flatMap(([table, rows]) => {
    const earlier = before.get(table) ?? new Set<string>();
    return [
      ...[...earlier].filter((row) => !rows.has(row)).map((row) => `- ${table} ${row}`),
      ...[...rows].filter((row) => !earlier.has(row)).map((row) => `+ ${table} ${row}`),
    ];
  });
}

/** Names for what chance makes anew in every run: ids by their first appearance, tokens and hashes. */
export function namer() {
  const ids = new Map<string, string>();
  const idOf = (id: string) => {
    const known = ids.get(id) ?? `id${ids.size + 1}`;
    ids.set(id, known);
    return known;
  };
  return (text: string): string =>
    text
      .replace(/\$argon2[^"\\]*/g, '<password>')
      .replace(/[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}/g, idOf)
      .replace(/[0-9a-f]{64}/g, '<hash>')
      .replace(/\b[A-Z2-7]{32}\b/g, '<secret>')
      .replace(/"session":"[\w-]{12}"/g, '"session":"<session>"')
      // 256 bits, whether or not one of their letters happens to be a digit.
      .replace(/(?<![\w-])[\w-]{43}(?![\w-])/g, '<token>')
      .replace(/[A-Za-z0-9_-]{40,}/g, (found) => (/[0-9]/.test(found) ? '<token>' : found));
}
