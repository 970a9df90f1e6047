import { READY_PROGRAMMES } from '@/catalogue/programmes';
import type { Circumstances } from '@/core/choose';
import type { Exercise } from '@/core/exercise';
import { type ReadyProgramme, fittedLines } from '@/core/ready';
import { NO_SETTINGS } from '@/core/school';
import { newId } from '../forms/new-id';
import { type DeskLine, newLine } from './draft';
import type { ClosedLine } from './panels/ready-fit';

/** A ready programme as it is put down for one patient. */
export type PutReady = {
  readonly programme: ReadyProgramme;
  readonly lines: readonly DeskLine[];
  /** Its lines that are closed to this patient. */
  readonly closed: readonly ClosedLine[];
};

/** The lines of a ready programme for a desk, and what this patient closes of them; null where there is none. */
export function readyLines(
  id: string,
  all: readonly Exercise[],
  circumstances: Circumstances,
): PutReady | null {
  const programme = READY_PROGRAMMES.find((one) => one.id === id);
  if (!programme) return null;
  const fitted = fittedLines(programme, all, circumstances).map((one) => ({
    ...one,
    uid: newId(),
  }));
  return {
    programme,
    lines: fitted.map(({ uid, line: { exerciseId, dose, school } }) => ({
      ...newLine(uid, exerciseId, dose),
      school: school === null ? null : { id: school, settings: NO_SETTINGS },
    })),
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
  };
}
