'use client';

import { type Dispatch, useEffect, useState } from 'react';
import type { Circumstances } from '@/core/choose';
import type { Exercise } from '@/core/exercise';
import { newId } from '../forms/new-id';
import { sayMissing } from '../primitives/on-demand';
import { whenIdle } from '../primitives/when-idle';
import type { Desk, DeskAction } from './desk-state';
import { type DeskLine, newLine } from './draft';
import type { ReadyFit } from './panels/ready-fit';
import type { PutReady } from './ready-lines';

/** What the programmes consist of comes while the page is at rest, or when one is asked for. */
async function fetched() {
  const [{ readyLines }, { ReadyFit: Fit }] = await Promise.all([
    import('./ready-lines'),
    import('./panels/ready-fit'),
  ]);
  return { readyLines, Fit };
}

type Put = Pick<PutReady, 'programme' | 'closed'> & { readonly Fit: typeof ReadyFit };

/**
 * Puts a ready programme down on the desk, all its lines in one step that can be undone, and keeps
 * what this patient closes of it until it was read. Lines that were taken out since are no more asked
 * about.
 */
export function useReady(
  desk: Desk,
  all: readonly Exercise[],
  circumstances: Circumstances,
  step: Dispatch<DeskAction>,
  addLines: (lines: readonly DeskLine[]) => void,
) {
  const [put, setPut] = useState<Put | null>(null);
  useEffect(() => whenIdle(() => void fetched().catch(() => undefined)), []);

  async function apply(id: string): Promise<void> {
    const there = await fetched().catch(() => null);
    if (!there) return sayMissing();
    const made = there.readyLines(id, all, circumstances);
    if (!made) return;
    setPut({ ...made, Fit: there.Fit });
    addLines(made.lines);
  }
  const closed = (put?.closed ?? []).filter(({ uid }) =>
    desk.lines.some((line) => line.uid === uid),
  );

  /** Every offered substitute in the place of its line, in one step. */
  function take() {
    step({
      type: 'order',
      lines: desk.lines.map((line) => {
        const instead = closed.find(({ uid }) => uid === line.uid)?.instead;
        return instead ? newLine(newId(), instead.exerciseId, instead.dose) : line;
      }),
    });
    setPut(null);
  }
  return {
    apply: (id: string) => void apply(id),
    fit: put && { programme: put.programme, closed, Fit: put.Fit },
    take,
    leave: () => setPut(null),
  };
}
