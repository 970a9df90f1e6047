import type { ReadyLine } from '@/core/ready';

/** A line as the files of this folder write it. */
export const line = (
  exerciseId: string,
  dose: string,
  school: ReadyLine['school'] = null,
): ReadyLine => ({
  exerciseId,
  dose,
  school,
});
