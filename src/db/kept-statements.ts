import type Database from 'libsql';

type Kept = {
  readonly statement: Database.Statement;
  /** Names of what it answers; null for one that answers no rows. */
  readonly columns: string[] | null;
  readonly types: string[];
};

/** So many are kept at most: a few times as many as there are queries in the code. */
const MOST_STATEMENTS = 600;

/** Statements that are asked again and again; any other, such as one about the file itself, is read anew. */
const ASKED_AGAIN = /^\s*(?:select|insert|update|delete|with|begin|commit)\b/i;

/** The statements of one connection, whose text the engine has read. The longest not asked goes first. */
export class KeptStatements {
  readonly #kept = new Map<string, Kept>();

  constructor(private readonly connection: Database.Database) {}

  /** @throws the engine's error for a text it cannot read */
  prepared(sql: string): Kept {
    const known = this.#kept.get(sql);
    // Asked now, so the last to go.
    this.#kept.delete(sql);
    const kept = known ?? this.#read(sql);
    if (ASKED_AGAIN.test(sql)) this.#keep(sql, kept);
    return kept;
  }

  forget(sql: string): void {
    this.#kept.delete(sql);
  }

  forgetAll(): void {
    this.#kept.clear();
  }

  #keep(sql: string, kept: Kept): void {
    this.#kept.set(sql, kept);
    if (this.#kept.size <= MOST_STATEMENTS) return;
    for (const longest of this.#kept.keys()) {
      this.#kept.delete(longest);
      return;
    }
  }

  #read(sql: string): Kept {
    const statement = this.connection.prepare(sql);
    // Whole numbers come as they are stored: one that is too large is refused, never rounded.
    statement.safeIntegers(true);
    if (!statement.reader) return { statement, columns: null, types: [] };
    statement.raw(true);
    const columns = statement.columns();
    return {
      statement,
      columns: columns.map(({ name }) => name),
      types: columns.map(({ type }) => type ?? ''),
    };
  }
}
