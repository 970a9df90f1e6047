'use client';

import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { Circumstances } from '@/core/choose';
import { NO_SETTINGS } from '@/core/progression';
import { type ReadyProgramme, fittedLines } from '@/core/ready';
import type { Exercise } from '@/core/exercise';
import type { Dispatch } from 'react';
import type { Desk, DeskAction } from './desk-state';
import { type DeskLine, newLine } from './draft';
import type { ClosedLine } from './panels/ready-fit';

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
) {
  const [put, setPut] = useState<{
    readonly programme: ReadyProgramme;
    readonly closed: readonly ClosedLine[];
  } | null>(null);

  function apply(programme: ReadyProgramme): readonly DeskLine[] {
    const fitted = fittedLines(programme, all, circumstances).map((one) => ({
      ...one,
      uid: uuid(),
    }));
    const lines = fitted.map(({ uid, line: { exerciseId, dose, school } }) => ({
      ...newLine(uid, exerciseId, dose),
      school: school === null ? null : { id: school, settings: NO_SETTINGS },
    }));
    setPut({
      programme,
      closed: fitted
        .filter(({ closed }) => closed.length > 0)
        .map(({ uid, exercise, closed, instead }) => ({
          uid,
          name: exercise.name,
          closed,
          instead: instead && {
            exerciseId: instead.exercise.id,
            name: instead.exercise.name,
            dose: instead.dose,
          },
        })),
    });
    return lines;
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
        return instead ? newLine(uuid(), instead.exerciseId, instead.dose) : line;
      }),
    });
    setPut(null);
  }
  return {
    apply,
    fit: put && { programme: put.programme, closed },
    take,
    leave: () => setPut(null),
  };
}
