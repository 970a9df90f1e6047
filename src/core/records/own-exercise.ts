import { z } from 'zod';
import {
  BOUT_MODES,
  DIRECTION_NAMES,
  LONGEST_LINE,
  SIDES_NAME,
  type Sides,
  type SidesName,
  formatDose,
  parseDose,
} from '../dose';
import { FAMILIES, POSITIONS, PURPOSES, REGIONS, type WordedExercise, setUpsOf } from '../exercise';
import { TRAITS, type Trait } from '../screen';
import type { Frozen } from '../units';
import { OwnFigure, drawingId } from './own-figure';
import { recordId, words } from './words';

const list = (name: string, least = 1) =>
  z
    .array(words(name, 400))
    .min(least, `${name}: at least one.`)
    .max(20, `${name}: at most twenty.`);

const text = (name: string) => words(name, 400, 0);

const fields = {
  name: words('The name', 120),
  family: z.enum(FAMILIES, { error: `The family is one of: ${FAMILIES.join(', ')}.` }),
  rung: z
    .number({ error: 'The step is a number from 1.' })
    .int('The step is a whole number.')
    .min(1, 'The first step is 1.')
    .max(99, 'The step is at most 99.'),
  position: z.enum(POSITIONS, { error: `The position is one of: ${POSITIONS.join(', ')}.` }),
  region: z.enum(REGIONS, { error: `The region is one of: ${REGIONS.join(', ')}.` }),
  purpose: z.enum(PURPOSES, { error: `The purpose is one of: ${PURPOSES.join(', ')}.` }),
  mode: z.enum(BOUT_MODES, { error: 'It is held, moved or lain.' }),
  sided: z.boolean(),
  effort: z.boolean(),
  muscles: list('A muscle', 0),
  props: z
    .array(
      z.object({
        prop: words('A prop', 60),
        orElse: z
          .array(z.object({ prop: words('A substitute', 60), consequence: text('What it costs') }))
          .max(10),
      }),
    )
    .max(10),
  traits: z.array(
    z.enum(Object.keys(TRAITS) as [Trait, ...Trait[]], { error: 'There is no such precaution.' }),
  ),
  /** What its side names; left out by exercises of before, whose side is the one that works. */
  sidesName: z
    .enum([...SIDES_NAME, ''], { error: `The side is one of: ${SIDES_NAME.join(', ')}.` })
    .optional(),
  directions: z
    .array(
      z.enum(DIRECTION_NAMES, { error: `A direction is one of: ${DIRECTION_NAMES.join(', ')}.` }),
    )
    .max(DIRECTION_NAMES.length, 'Each direction once.')
    .refine((all) => new Set(all).size === all.length, 'Each direction once.')
    .optional(),
  ways: text('Sides and angles'),
  usualDose: z
    .string({ error: 'The usual dose is missing.' })
    .max(LONGEST_LINE, 'This dose line is too long.')
    .transform((line, context) => {
      const parsed = parseDose(line);
      if (parsed.ok) return formatDose(parsed.value);
      context.addIssue({
        code: 'custom',
        message: `The usual dose, character ${parsed.at + 1}: ${parsed.say}`,
      });
      return z.NEVER;
    }),
  steps: list('A step of the instructions'),
  cues: list('A cue', 0),
  faults: z.array(z.object({ fault: words('A fault', 200), fix: words('Its fix', 200) })).max(12),
  feel: text('What is felt'),
  normal: text('Normal discomfort'),
  stop: text('When to stop'),
  watch: text('What to watch for'),
  keywords: list('A search word', 0),
};

/** An exercise of the clinic's own: what the form sends and what a row of an import must be. */
export const OwnExerciseDraft = z.object({
  ...fields,
  /** How it is drawn; null for without, left out to leave the drawing it has. */
  figure: OwnFigure.nullish(),
});
export type OwnExerciseDraft = z.infer<typeof OwnExerciseDraft>;

/** The same as it is kept: its drawing by its id. */
export const StoredOwnExercise = z.object({ ...fields, drawing: drawingId.optional() });
export type StoredOwnExercise = z.infer<typeof StoredOwnExercise>;

export const OwnExerciseSave = z.object({ id: recordId, exercise: OwnExerciseDraft });
export type OwnExerciseSave = z.infer<typeof OwnExerciseSave>;

/** An own exercise as the catalogue holds it. */
export function ownExercise(id: string, draft: Frozen<StoredOwnExercise>): WordedExercise {
  const { sided, effort, faults, sidesName, directions, ...same } = draft;
  return {
    ...same,
    id,
    // The catalogue that takes it in puts it on one.
    ladder: null,
    sides: sided ? ownSides(sidesName || 'works') : null,
    directions: directions ?? [],
    needs: { sided, effort },
    doses: {},
    strength: null,
    setUps: setUpsOf(same.props),
    faults: Object.fromEntries(faults.map(({ fault, fix }) => [fault, fix])),
  };
}

const SAID: Readonly<Record<SidesName, (side: string) => string>> = {
  lengthened: (side) => `stretches the ${side} side`,
  works: (side) => `the ${side} side works`,
  limb: (side) => `with the ${side} arm or leg`,
  turned: (side) => `turns to the ${side}`,
};

/** What is done on each side of a clinic's own exercise, by what its side names. */
function ownSides(name: SidesName): Sides {
  return { name, left: SAID[name]('left'), right: SAID[name]('right') };
}

/** Any exercise as a draft, to be edited or exported; its drawing stands apart. */
export function exerciseDraft(exercise: WordedExercise): OwnExerciseDraft {
  const { needs, faults } = exercise;
  return {
    name: exercise.name,
    family: exercise.family,
    rung: exercise.rung,
    position: exercise.position,
    region: exercise.region,
    purpose: exercise.purpose,
    mode: exercise.mode,
    sided: needs.sided,
    effort: needs.effort,
    sidesName: exercise.sides?.name ?? '',
    directions: [...exercise.directions],
    muscles: [...exercise.muscles],
    props: exercise.props.map(({ prop, orElse }) => ({ prop, orElse: [...orElse] })),
    traits: [...exercise.traits],
    ways: exercise.ways,
    usualDose: exercise.usualDose,
    steps: [...exercise.steps],
    cues: [...exercise.cues],
    faults: Object.entries(faults).map(([fault, fix]) => ({ fault, fix })),
    feel: exercise.feel,
    normal: exercise.normal,
    stop: exercise.stop,
    watch: exercise.watch,
    keywords: [...exercise.keywords],
  };
}

/** Offers something of the clinic's no more. */
export const RetireDraft = z.object({ id: recordId });

/** Offers a ready programme in this clinic, or offers it no more. */
export const OfferReady = z.object({ id: z.string().min(1).max(80), offered: z.boolean() });
export type OfferReady = z.infer<typeof OfferReady>;

/** Keeps a ready programme as a template of the clinic's own. */
export const CopyReady = z.object({ id: recordId, readyId: z.string().min(1).max(80) });

/** A file of exercises, as text. */
export const ExerciseImport = z.object({
  format: z.enum(['csv', 'json'], { error: 'A file of exercises is CSV or JSON.' }),
  text: z.string().max(900_000, 'This file is too large (at most 900 kB).'),
});

/** Which exercises are asked for as a file, and how. */
export const ExerciseFile = z.object({
  format: z.enum(['csv', 'json']),
  of: z.enum(['own', 'all']).default('own'),
});
