'use client';

import type { Dispatch } from 'react';
import { part, usePart } from '../primitives/on-demand';
import type { Desk, DeskAction } from './desk-state';
import { DeskRow, type RowMoves } from './row/desk-row';

const DRAG = part(() => import('./desk-drag').then((made) => made.DeskDrag));
const nothing = () => undefined;

/** From so many lines rows out of sight are left out of the layout. */
const LONG_FROM = 60;

/** The lines in their order, to be dragged. */
export function DeskLines({
  desk,
  newUid,
  moves,
  step,
}: {
  desk: Desk;
  /** The line that was added last: it has the cursor. */
  newUid: string;
  moves: RowMoves;
  step: Dispatch<DeskAction>;
}) {
  const Drag = usePart(DRAG, false, nothing);
  if (desk.lines.length === 0)
    return (
      <p className="py-8 text-soft">
        No exercise yet. Press <kbd className="figures">Ctrl K</kbd>, type a word, press Enter; then
        write its dose, such as <span className="figures">3x10 hold 5s rest 60s 2/day</span>.
      </p>
    );
  return (
    <>
      <ol className={desk.lines.length > LONG_FROM ? 'long-desk' : undefined}>
        {desk.lines.map((line, place) => (
          <DeskRow
            key={line.uid}
            line={line}
            isFirst={place === 0}
            isLast={place === desk.lines.length - 1}
            isNew={line.uid === newUid}
            moves={moves}
          />
        ))}
      </ol>
      {Drag && <Drag lines={desk.lines} step={step} />}
    </>
  );
}
