import type { Dispatch } from 'react';
import { toast } from '../primitives/toast';
import type { Catalogue } from '@/catalogue';
import { inSessionOrder, orderMoves } from '@/core/choose';
import type { Desk, DeskAction } from './desk-state';
import { type DeskLine, readLine } from './draft';
import { fillMissing } from './row/row-actions';

/** Writes every missing part of every line that can be read, as one step. */
export function fillLines(desk: Desk, catalogue: Catalogue, step: Dispatch<DeskAction>): void {
  const lines = desk.lines.flatMap((line) => {
    const read = readLine(line, catalogue);
    return (read.ok ? fillMissing(line, read.exercise, read.dose)?.lines : null) ?? [line];
  });
  step({ type: 'order', lines });
}

/** Puts the lines in the order of a session, and says which moved and why. */
export function orderLines(desk: Desk, catalogue: Catalogue, step: Dispatch<DeskAction>): void {
  const exerciseOf = ({ exerciseId }: DeskLine) => catalogue.byId(exerciseId);
  const lines = inSessionOrder(desk.lines, exerciseOf);
  const moves = orderMoves(desk.lines, lines, exerciseOf);
  if (moves.length === 0 && lines.every((line, at) => line === desk.lines[at])) {
    toast('In the order of a session already.');
    return;
  }
  step({ type: 'order', lines });
  const said = moves.map(({ exercise, to, say }) => `${exercise.name} to place ${to}: ${say}`);
  toast(`Moved. ${said.join('; ')}.`, {
    action: { label: 'Undo', onClick: () => step({ type: 'undo' }) },
  });
}
