import { z } from 'zod';
import { words } from './words';

/** One thing to be put down on a desk: an exercise, a ready programme or a template, by its id. */
export type PutAsked = { readonly what: 'exercise' | 'ready' | 'template'; readonly id: string };

/** A patient looked for by their name, and the exercise that is to be theirs, if it is one. */
export const PatientCalled = z.object({
  name: words('A name', 120),
  exerciseId: z.string().min(1).max(80).nullable(),
});
export type PatientCalled = z.infer<typeof PatientCalled>;

/** A patient whom something may be prescribed to, and what speaks against it. */
export type ToPrescribe = {
  readonly id: string;
  readonly name: string;
  /** Why the exercise is closed to them, by screening, positions and home; empty where nothing is known. */
  readonly closed: readonly string[];
  /** Said where no screening stands: then nothing is said to be safe. */
  readonly unscreened: string | null;
};
