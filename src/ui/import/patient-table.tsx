'use client';

import Papa from 'papaparse';
import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import {
  DATE_ORDERS,
  type DateOrder,
  type Mapping,
  TABLE_FIELDS,
  type TableField,
  guessMapping,
  readRow,
  repeatsIn,
} from '@/core/exchange';
import { MOST_ROWS } from '@/core/record-choices';
import { ZoneChoice } from '../forms/zones';
import { Button } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { ImportRows } from './import-rows';
import { type TableRow, isReady, useImport } from './use-import';

/** A table is read up to so many bytes. */
const MOST_BYTES = 5 * 1024 * 1024;

type Table = {
  readonly name: string;
  readonly headers: readonly string[];
  readonly cells: readonly (readonly string[])[];
};

/** Patients from a table: its columns are named on the screen, every row is looked at, then written. */
export function PatientTable({ zones, zone }: { zones: readonly string[]; zone: string }) {
  const [table, setTable] = useState<Table | null>(null);
  const [mapping, setMapping] = useState<Mapping>({});
  const [order, setOrder] = useState<DateOrder>('day first');
  const [complaint, setComplaint] = useState('');
  const [where, setWhere] = useState(zone);
  const [rows, setRows] = useState<TableRow[]>([]);
  const [refusal, setRefusal] = useState('');
  const { progress, say, check, write, stop } = useImport((change) => setRows(change));

  async function choose(file: File | undefined) {
    setRefusal('');
    setRows([]);
    setTable(null);
    if (!file) return;
    if (file.size > MOST_BYTES) return setRefusal('The file is larger than 5 MB.');
    const { data } = Papa.parse<string[]>(await file.text(), { skipEmptyLines: 'greedy' });
    const [headers, ...cells] = data;
    if (!headers || cells.length === 0)
      return setRefusal('The file has no rows under a first row of headings.');
    if (cells.length > MOST_ROWS)
      return setRefusal(
        `The file has ${cells.length} rows; at most ${MOST_ROWS} are taken at once.`,
      );
    setTable({ name: file.name, headers, cells });
    setMapping(guessMapping(headers));
  }
  function look() {
    if (!table) return;
    const reads = table.cells.map((cells) => readRow(cells, mapping, order, complaint));
    const earlier = repeatsIn(reads.map((one) => (one.ok ? one.patient : null)));
    const read = reads.map((one, at): TableRow => {
      const before = earlier[at] ?? null;
      return {
        id: uuid(),
        line: at + 2,
        read: one,
        repeats: before === null ? null : before + 2,
        found: null,
        another: false,
        written: false,
      };
    });
    setRows(read);
    void check(read);
  }
  const set = (field: TableField, column: string) => {
    const others = Object.fromEntries(Object.entries(mapping).filter(([one]) => one !== field));
    setMapping(column === '' ? others : { ...others, [field]: Number(column) });
    setRows([]);
  };
  const ready = rows.filter(isReady);
  const busy = progress !== null;
  return (
    <div className="grid gap-6 pt-4">
      <section className="grid max-w-[75ch] gap-2">
        <p className="text-soft">
          A file of comma-separated values with a row of headings, as spreadsheets and other
          programs write it, up to {MOST_ROWS} rows. Nothing is written before you have seen what is
          wrong with which row.
        </p>
        <input
          type="file"
          accept=".csv,text/csv"
          aria-label="Choose the table"
          disabled={busy}
          className="w-full file:mr-3 file:rounded file:border file:border-edge file:bg-sheet file:px-3 file:py-1.5 file:font-medium"
          onChange={({ target }) => void choose(target.files?.[0])}
        />
        {refusal !== '' && (
          <p role="alert" className="text-stop">
            {refusal}
          </p>
        )}
      </section>
      {table && (
        <section className="grid gap-3">
          <h2 className="text-lg">Which column is what</h2>
          <div className="grid gap-3 sm:grid-cols-2 lg:grid-cols-4">
            {TABLE_FIELDS.map((field) => (
              <Choice
                key={field}
                label={field.charAt(0).toUpperCase() + field.slice(1)}
                value={mapping[field] ?? ''}
                disabled={busy}
                hint={example(table, mapping[field])}
                onChange={({ target }) => set(field, target.value)}
              >
                <option value="">not in the table</option>
                {table.headers.map((header, at) => (
                  <option key={at} value={at}>
                    {header || `column ${at + 1}`}
                  </option>
                ))}
              </Choice>
            ))}
            <Choice
              label="Dates are written"
              value={order}
              disabled={busy}
              onChange={({ target }) => {
                setOrder(DATE_ORDERS.find((one) => one === target.value) ?? 'day first');
                setRows([]);
              }}
            >
              {DATE_ORDERS.map((one) => (
                <option key={one} value={one}>
                  {one}
                </option>
              ))}
            </Choice>
            <Field
              label="Complaint where the table has none"
              value={complaint}
              disabled={busy}
              dir="auto"
              onChange={({ target }) => {
                setComplaint(target.value);
                setRows([]);
              }}
            />
            <div onChange={({ target }) => setWhere((target as unknown as HTMLInputElement).value)}>
              <ZoneChoice zones={zones} start={zone} />
            </div>
          </div>
          <div className="flex flex-wrap gap-3">
            <Button disabled={busy || mapping.name === undefined} onClick={look}>
              Look at {table.cells.length} {table.cells.length === 1 ? 'row' : 'rows'}
            </Button>
            {ready.length > 0 && (
              <Button look="main" disabled={busy} onClick={() => void write(ready, where)}>
                Write {ready.length} {ready.length === 1 ? 'patient' : 'patients'}
              </Button>
            )}
            {busy && <Button onClick={stop}>Stop</Button>}
          </div>
          <p role="status">
            {progress ? `${progress.doing} ${progress.done} of ${progress.of} …` : say}
          </p>
        </section>
      )}
      {rows.length > 0 && (
        <ImportRows
          rows={rows}
          onAnother={(id, another) =>
            setRows(rows.map((row) => (row.id === id ? { ...row, another } : row)))
          }
        />
      )}
    </div>
  );
}

function example({ cells }: Table, column: number | undefined): string {
  if (column === undefined) return '';
  const first = cells.find((row) => (row[column] ?? '').trim() !== '')?.[column];
  return first === undefined ? 'empty in every row' : `such as “${first.trim().slice(0, 40)}”`;
}
