import type { ReactNode } from 'react';
import { Button } from '../../primitives/button';
import { Panel } from './panel';

/** A list of one thing of a drawing: a row each with its choices, one to be added, each to be removed. */
export function RowsPanel<Row>({
  title,
  one,
  rows,
  most,
  fresh,
  columns,
  onRows,
  children,
}: {
  title: string;
  /** What a row is called, such as "push". */
  one: string;
  rows: readonly Row[];
  most: number;
  /** What a new row begins as. */
  fresh: Row;
  columns: string;
  onRows: (rows: readonly Row[]) => void;
  /** The choices of a row. */
  children: (row: Row, index: number, replace: (row: Row) => void) => ReactNode;
}) {
  return (
    <Panel title={`${title} (${rows.length})`}>
      <ul>
        {rows.map((row, index) => (
          <li key={index} className={`grid items-end gap-2 py-1 ${columns}`}>
            {children(row, index, (next) => onRows(rows.toSpliced(index, 1, next)))}
            <Button
              onClick={() => onRows(rows.toSpliced(index, 1))}
              aria-label={`Remove ${one} ${index + 1}`}
            >
              Remove
            </Button>
          </li>
        ))}
      </ul>
      <Button
        className="mt-1"
        disabled={rows.length >= most}
        onClick={() => onRows([...rows, fresh])}
      >
        Add a {one}
      </Button>
    </Panel>
  );
}
