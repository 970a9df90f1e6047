import { z } from 'zod';
import {
  BACK_SECTIONS,
  CUFF_HOLDS,
  CUFF_TARGETS,
  INSTRUMENTS,
  KIND_IDS,
  type MeasureKindId,
  POSITIONS,
  type MeasurementBody,
  impossible,
  kindOf,
  measuredValue,
} from '../measures';
import {
  FEELINGS,
  MOVEMENT_EFFECTS,
  NERVE_LEVELS,
  REFLEXES,
  REPEATED_MOVEMENTS,
  TENSION_TESTS,
  isRegion,
} from '../symptoms';
import { PressureFields } from './screening';
import { recordId, words } from './words';

const finite = z.number({ error: 'Write a number.' });
const side = z.enum(['left', 'right']);
const length = (name: string, least: number, most: number) =>
  z
    .number({ error: `${name} is a number of millimetres.` })
    .min(least, `${name} is between ${least} and ${most} mm.`)
    .max(most, `${name} is between ${least} and ${most} mm.`);
const score = (least: number, most: number) =>
  z
    .number({ error: `A score is ${least} to ${most}.` })
    .min(least, `A score is ${least} to ${most}.`)
    .max(most, `A score is ${least} to ${most}.`);

/** Everything a form can hold, but for photos, whose values only the server reckons. */
export const MeasurementFields = z.discriminatedUnion('form', [
  z.object({ form: z.literal('choice'), option: z.string().max(60) }),
  z.object({
    form: z.literal('offsets'),
    relaxed: length('The relaxed offset', -150, 250),
    tall: length('The offset sitting tall', -150, 250),
    chest: length('The offset with the chest lifted', -150, 250),
  }),
  z.object({
    form: z.literal('wedge'),
    wedge: length('The wedge’s height', 0, 300),
    ear: length('The height of the ear', 20, 250),
    shoulder: length('The height of the shoulder', 20, 300),
  }),
  z.object({
    form: z.literal('cuff'),
    target: z
      .number()
      .refine(
        (target) => (CUFF_TARGETS as readonly number[]).includes(target),
        `A target is one of ${CUFF_TARGETS.join(', ')} mmHg.`,
      ),
    holds: z
      .number()
      .int('Holds are counted in whole numbers.')
      .min(0, `Holds are 0 to ${CUFF_HOLDS}.`)
      .max(CUFF_HOLDS, `Holds are 0 to ${CUFF_HOLDS}.`),
  }),
  z.object({
    form: z.literal('nerve'),
    levels: z
      .array(
        z.object({
          level: z.enum(NERVE_LEVELS.map((row) => row.level)),
          side,
          strength: score(0, 5).int('Strength is a whole number, 0 to 5.').nullable(),
          feeling: z.enum(FEELINGS).nullable(),
          reflex: z.enum(REFLEXES).nullable(),
        }),
      )
      .max(20),
    tension: z
      .array(z.object({ test: z.enum(TENSION_TESTS), side, positive: z.boolean() }))
      .max(16),
  }),
  z.object({
    form: z.literal('body'),
    regions: z.array(z.string().refine(isRegion, 'This place is not on the drawing.')).max(80),
    movements: z
      .array(z.object({ movement: z.enum(REPEATED_MOVEMENTS), effect: z.enum(MOVEMENT_EFFECTS) }))
      .max(20),
  }),
  z.object({
    form: z.literal('activities'),
    activities: z
      .array(z.object({ name: words('The activity', 120), score: score(0, 10) }))
      .min(3, 'Three to five activities, please.')
      .max(5, 'Three to five activities, please.'),
  }),
  z.object({
    form: z.literal('sections'),
    scores: z.array(score(0, 5).int('A section is a whole number, 0 to 5.').nullable()).length(10),
  }),
  z.object({ form: z.literal('pressure'), ...PressureFields.shape }),
]);

/** A measurement as the sheet sends it. */
export const MeasurementDraft = z
  .object({
    id: recordId,
    kind: z.enum(KIND_IDS as [MeasureKindId, ...MeasureKindId[]]),
    side: side.nullable(),
    position: z.enum(POSITIONS),
    instrument: z.enum(INSTRUMENTS),
    trials: z.array(finite).max(10, 'At most ten trials.'),
    body: MeasurementFields.nullable(),
    note: words('The note', 300, 0),
    painAtEnd: score(0, 10).nullable(),
    chinJut: z.boolean(),
    retest: z
      .object({ cue: words('The cue', 200), trials: z.array(finite).min(1).max(5) })
      .nullable(),
    /** The measurement this one corrects; null for a new one. */
    supersedes: recordId.nullable(),
  })
  .superRefine((draft, context) => {
    const wrong = (message: string, ...path: (string | number)[]) =>
      context.addIssue({ code: 'custom', message, path });
    const kind = kindOf(draft.kind);
    if (kind.sided !== (draft.side !== null))
      wrong(kind.sided ? `${kind.name}: left or right?` : `${kind.name} has no side.`, 'side');
    if (kind.form === 'photo') wrong('This comes from marking a photo.', 'kind');
    else if (kind.form === 'trials') {
      if (draft.trials.length === 0) wrong(`${kind.name}: no trial yet.`, 'trials');
      draft.trials.forEach((trial, index) => {
        const say = impossible(draft.kind, trial);
        if (say) wrong(say, 'trials', index);
      });
      draft.retest?.trials.forEach((trial, index) => {
        const say = impossible(draft.kind, trial);
        if (say) wrong(say, 'retest', index);
      });
    } else if (draft.body?.form !== kind.form) wrong(`${kind.name} is not filled in.`, 'body');
    else checkBody(draft.kind, draft.body, wrong);
  });
export type MeasurementDraft = z.infer<typeof MeasurementDraft>;

function checkBody(
  kind: MeasureKindId,
  body: MeasurementBody,
  wrong: (message: string, ...path: string[]) => void,
): void {
  if (body.form === 'choice' && !kindOf(kind).options?.includes(body.option))
    wrong(`${kindOf(kind).name}: choose one of the answers.`, 'body', 'option');
  if (body.form === 'pressure' && body.systolic <= body.diastolic)
    wrong('The upper pressure is higher than the lower one.', 'body', 'systolic');
  if (body.form === 'sections' && measuredValue(kind, [], body) === null) {
    const given = body.scores.filter((one) => one !== null).length;
    wrong(
      `Only ${given} of ${BACK_SECTIONS.length} sections are answered: too few for a score.`,
      'body',
      'scores',
    );
  }
}

/** One or more measurements of a sitting, stored together or not at all. */
export const MeasurementsDraft = z.object({
  patientId: recordId,
  measurements: z
    .array(MeasurementDraft)
    .min(1, 'Nothing is filled in yet.')
    .max(80, 'At most 80 measurements at once.'),
});
export type MeasurementsDraft = z.infer<typeof MeasurementsDraft>;

const margin = z.union([
  z.object({ by: finite.positive('A detectable change is more than 0.') }),
  z.object({ percent: finite.positive('A detectable change is more than 0.').max(200) }),
]);

/** The clinic's own detectable change of one kind; null takes the built-in one again. */
export const DetectableDraft = z.object({
  kind: z.enum(KIND_IDS as [MeasureKindId, ...MeasureKindId[]]),
  own: z.object({ margin, source: words('The source', 200) }).nullable(),
});
export type DetectableDraft = z.infer<typeof DetectableDraft>;

/** The clinic's own detectable changes, by kind. */
export const StoredDetectable = z.partialRecord(
  DetectableDraft.shape.kind,
  z.object({ margin, source: z.string() }),
);
