import { z } from 'zod';
import { ERASURE_REASONS } from '../record-choices';
import { dateText, paragraphs, recordId, words } from './words';

/** The second step of erasing: everything that shows it is meant. */
export const ErasureDraft = z.object({
  patientId: recordId,
  /** The patient's name, typed once more. */
  name: z.string().max(200),
  reason: z.enum(ERASURE_REASONS, { error: 'Choose why the record is erased.' }),
  password: z.string().max(200),
  /** That the documents were offered, and are not wanted or were taken. */
  documentsSeen: z.literal(true, {
    error: 'Look through the documents first, and say that they are not needed any more.',
  }),
});
export type ErasureDraft = z.infer<typeof ErasureDraft>;

/** One line of the list of erasures that is kept apart from the backups: ids only. */
export const ErasureLine = z.object({
  clinicId: z.string().min(1).max(100),
  patientId: z.string().min(1).max(100),
  at: z.number().int(),
  memberId: z.string().min(1).max(100),
  reason: z.enum(ERASURE_REASONS),
});
export type ErasureLine = z.infer<typeof ErasureLine>;

/** What of who a patient is can be put right. */
export const CORRECTED = ['name', 'birth date', 'contact', 'complaint', 'mainly of'] as const;

export const CorrectionDraft = z.object({
  id: recordId,
  patientId: recordId,
  name: words('The name', 200),
  birthDate: dateText.nullable(),
  contact: words('The number or address', 200, 0),
  /** As the page had it: another one may have put it right meanwhile. */
  was: z.object({
    name: z.string().max(200),
    birthDate: z.string().max(20).nullable(),
    contact: z.string().max(200),
  }),
});
export type CorrectionDraft = z.infer<typeof CorrectionDraft>;

const days = (what: string) =>
  z
    .number({ error: `Write ${what} as a number of days.` })
    .int('Whole days, please.')
    .min(1, 'At least one day.')
    .max(1000, 'At most 1000 days.');

/** What a clinic sets about keeping records safe. */
export const SafetyDraft = z.object({
  /** The clinic's own notice to its patients; empty for none. */
  privacyText: paragraphs('The notice', 6000),
  keepYears: z
    .number({ error: 'Write the years as a number, or leave them empty.' })
    .int('Whole years, please.')
    .min(1, 'At least one year.')
    .max(100, 'At most 100 years.')
    .nullable(),
  linkDays: days('how long a link can be opened'),
  deviceDays: days('how long an unused device stays signed in'),
  factorRequired: z.boolean(),
});
export type SafetyDraft = z.infer<typeof SafetyDraft>;
