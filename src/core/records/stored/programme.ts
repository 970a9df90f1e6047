import { z } from 'zod';
import { BOUT_MODES, DIRECTION_NAMES, SIDES_NAME } from '../../dose';
import { POSITIONS, PURPOSES } from '../../exercise';
import type { ExerciseSnapshot } from '../../programme';
import { drawingId } from '../own-figure';

const texts = z.array(z.string());

const sides = z
  .object({ name: z.enum(SIDES_NAME), left: z.string(), right: z.string() })
  .nullable()
  .optional();

const told = z.object({
  language: z.string(),
  words: z.object({
    name: z.string(),
    steps: texts,
    cues: texts,
    faults: z.record(z.string(), z.string()).optional(),
    feel: z.string().optional(),
    normal: z.string().optional(),
    stop: z.string().optional(),
    sides,
  }),
});

/** The exercise as a version keeps it. */
export const StoredExercise = z.object({
  name: z.string(),
  position: z.enum(POSITIONS),
  mode: z.enum(BOUT_MODES),
  steps: texts,
  cues: texts,
  props: z.array(z.object({ prop: z.string(), orElse: texts })),
  faults: z.record(z.string(), z.string()).optional(),
  feel: z.string().optional(),
  normal: z.string().optional(),
  stop: z.string().optional(),
  purpose: z.enum(PURPOSES).optional(),
  muscles: texts.optional(),
  sides,
  directions: z.array(z.enum(DIRECTION_NAMES)).optional(),
  drawing: drawingId.optional(),
  told: told.optional(),
}) satisfies z.ZodType<ExerciseSnapshot>;
