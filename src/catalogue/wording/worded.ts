import type { ExerciseWords } from '@/core/exercise';

/** The words of exercises by their ids. */
export type Worded = Readonly<Record<string, ExerciseWords>>;
