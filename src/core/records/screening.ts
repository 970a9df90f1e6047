import { z } from 'zod';
import { SCREENING_ACTIONS } from '../record-choices';
import { QUESTION_IDS, type QuestionId, type ScreeningAnswers, isSign } from '../screen';
import { dateText, recordId, words } from './words';

const pressureNumber = (name: string, least: number, most: number) =>
  z
    .number({ error: `${name} is a number of mmHg.` })
    .int(`${name} is a whole number of mmHg.`)
    .min(least, `${name} is between ${least} and ${most} mmHg.`)
    .max(most, `${name} is between ${least} and ${most} mmHg.`);

export const PressureFields = z
  .object({
    systolic: pressureNumber('The upper pressure', 50, 300),
    diastolic: pressureNumber('The lower pressure', 20, 200),
  })
  .refine((pressure) => pressure.systolic > pressure.diastolic, {
    message: 'The upper pressure is higher than the lower one.',
    path: ['systolic'],
  });

const age = z
  .number({ error: 'The age is a number of years.' })
  .int('The age is in whole years.')
  .min(0, 'The age is between 0 and 120.')
  .max(120, 'The age is between 0 and 120.')
  .nullable();

const answers = z
  .record(z.string(), z.enum(['yes', 'no', 'not tested']))
  .refine(
    (given) => Object.keys(given).every((id) => QUESTION_IDS.includes(id as QuestionId)),
    'One of the questions is not known. Load the page again.',
  )
  .refine(
    (given) =>
      Object.entries(given).every(
        ([id, answer]) => answer !== 'not tested' || isSign(id as QuestionId),
      ),
    'Only a sign can be left untested.',
  )
  .transform((given) => given as ScreeningAnswers['answers']);

/** A screening as the Screen step sends it. */
export const ScreeningDraft = z.object({
  id: recordId,
  patientId: recordId,
  answers,
  age,
  pressure: PressureFields.nullable(),
  /** The patient's own answers this one confirms; null for a new one. */
  fromId: recordId.nullable(),
});
export type ScreeningDraft = z.infer<typeof ScreeningDraft>;

/** The patient's own answers, before the visit. */
export const PatientScreeningDraft = ScreeningDraft.pick({ id: true, answers: true, age: true });
export type PatientScreeningDraft = z.infer<typeof PatientScreeningDraft>;

/** What a practitioner did about a screening that blocks, and whether prescribing may go on. */
export const ScreeningDecisionDraft = z.object({
  id: recordId,
  patientId: recordId,
  screeningId: recordId,
  action: z.enum(SCREENING_ACTIONS, { error: 'Choose what was done.' }),
  what: words('What was done', 1000),
  why: words('Why', 1000),
  mayPrescribe: z.boolean(),
});
export type ScreeningDecisionDraft = z.infer<typeof ScreeningDecisionDraft>;

export const ReferralDraft = z.object({
  id: recordId,
  patientId: recordId,
  screeningId: recordId,
  to: words('Whom it goes to', 200),
  text: z.string().trim().min(1, 'The letter is empty.').max(6000, 'The letter is too long.'),
});
export type ReferralDraft = z.infer<typeof ReferralDraft>;

export const ReferralAnswerDraft = z.object({
  id: recordId,
  patientId: recordId,
  referralId: recordId,
  answeredOn: dateText,
  text: z.string().trim().min(1, 'Write what was answered.').max(4000, 'This is too long.'),
});
export type ReferralAnswerDraft = z.infer<typeof ReferralAnswerDraft>;
