import { useRef, useState } from 'react';
import { type ImportedPatient, type RowRead } from '@/core/exchange';
import { ROWS_AT_ONCE } from '@/core/record-choices';
import type { RowFound } from '@/core/records';
import { post } from '../forms/post';

/** A row of the table with what was found of it. */
export type TableRow = {
  readonly id: string;
  /** Its line in the file, from 1, the heading counted. */
  readonly line: number;
  readonly read: RowRead;
  /** The line of the table that names the same person before; null where none does. */
  readonly repeats: number | null;
  readonly found: RowFound | null;
  /** A member said that it is another person. */
  readonly another: boolean;
  readonly written: boolean;
};

const inBatches = <T>(all: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(all.length / ROWS_AT_ONCE) }, (_, at) =>
    all.slice(at * ROWS_AT_ONCE, (at + 1) * ROWS_AT_ONCE),
  );

const asSent = ({ id, another }: TableRow, patient: ImportedPatient) => ({
  id,
  ...patient,
  another,
});

/** Who a row may be already: of the clinic, or of a line before; null where nobody. */
export function alikeOf({ found, repeats }: TableRow): string | null {
  return found?.alike ?? (repeats === null ? null : `line ${repeats} of this table`);
}

/** Whether a row is to be written. */
export function isReady(row: TableRow): boolean {
  const { read, found, another, written } = row;
  return !written && read.ok && found?.wrong === null && (alikeOf(row) === null || another);
}

/** Looks at rows, then writes those that are wanted, a hundred at a time, so that it may be stopped. */
export function useImport(put: (change: (rows: TableRow[]) => TableRow[]) => void) {
  const [progress, setProgress] = useState<{ doing: string; done: number; of: number } | null>(
    null,
  );
  const [say, setSay] = useState('');
  const stopped = useRef(false);

  async function over(
    doing: string,
    rows: readonly TableRow[],
    one: (batch: readonly TableRow[]) => Promise<boolean>,
  ) {
    stopped.current = false;
    setSay('');
    let done = 0;
    for (const batch of inBatches(rows)) {
      setProgress({ doing, done, of: rows.length });
      if (stopped.current || !(await one(batch))) break;
      done += batch.length;
    }
    setProgress(null);
  }

  const check = (rows: readonly TableRow[]) =>
    over('Looked at', rows, async (batch) => {
      const sent = batch.flatMap((row) => (row.read.ok ? [asSent(row, row.read.patient)] : []));
      if (sent.length === 0) return true;
      const answer = await post<readonly RowFound[]>('/api/v1/patients/import/check', {
        rows: sent,
      });
      if (!answer.ok) {
        setSay(answer.say);
        return false;
      }
      const found = new Map(sent.map(({ id }, at) => [id, answer.value[at] ?? null]));
      put((all) =>
        all.map((row) => (found.has(row.id) ? { ...row, found: found.get(row.id) ?? null } : row)),
      );
      return true;
    });

  const write = (rows: readonly TableRow[], zone: string) =>
    over('Written', rows, async (batch) => {
      const answer = await post<{ written: number }>('/api/v1/patients/import', {
        zone,
        rows: batch.flatMap((row) => (row.read.ok ? [asSent(row, row.read.patient)] : [])),
      });
      if (!answer.ok) {
        setSay(answer.say);
        return false;
      }
      const ids = new Set(batch.map(({ id }) => id));
      put((all) => all.map((row) => (ids.has(row.id) ? { ...row, written: true } : row)));
      return true;
    });

  return { progress, say, check, write, stop: () => (stopped.current = true) };
}
