import { z } from 'zod';
import { REACHED_BY, SEXES } from '../record-choices';
import type { Frozen } from '../units';
import { phoneNumber, recordId, words } from './words';

const optional = (name: string, most = 200) => words(name, most, 0);

const MOST_PHONES = 4;
const email = z
  .string()
  .max(200, 'An address can be at most 200 characters long.')
  .transform((text) => text.trim())
  .refine((text) => text === '' || /^[^\s@]+@[^\s@]+$/.test(text), {
    message: 'An e-mail address looks like name@place.',
  });

/** Somebody beside the patient: empty where there is nobody. */
const somebody = (who: string) =>
  z
    .object({
      name: optional(`${who}’s name`),
      phone: phoneNumber(0),
      what: optional('What they are to the patient', 100),
    })
    .refine(({ name, phone, what }) => name !== '' || (phone === '' && what === ''), {
      message: `Write the name of ${who.toLowerCase()} too.`,
      path: ['name'],
    });

/** Who a patient is beside their name, and how they are reached. All of it is optional. */
export const PatientDetails = z.object({
  phones: z
    .array(z.object({ number: phoneNumber(1), what: optional('What number it is', 60) }))
    .max(MOST_PHONES, `At most ${MOST_PHONES} numbers.`),
  email,
  reachedBy: z.enum(REACHED_BY, { error: 'By phone, text or e-mail.' }).nullable(),
  /** When, in the patient's own words. */
  hours: optional('The hours'),
  emergency: somebody('The emergency contact'),
  guardian: somebody('The guardian'),
  /** Null where it was not asked. */
  sex: z.enum(SEXES, { error: 'Female, male, or not asked.' }).nullable(),
  clinicNumber: optional('The number', 60),
  referrer: z.object({
    name: optional('The referrer’s name'),
    address: optional('The address', 300),
  }),
});
export type PatientDetails = Frozen<z.infer<typeof PatientDetails>>;

const NOBODY = { name: '', phone: '', what: '' } as const;
export const NO_DETAILS: PatientDetails = {
  phones: [],
  email: '',
  reachedBy: null,
  hours: '',
  emergency: NOBODY,
  guardian: NOBODY,
  sex: null,
  clinicNumber: '',
  referrer: { name: '', address: '' },
};

/** The details as a form sends them. */
export const DetailsDraft = z.object({
  patientId: recordId,
  /** When what the form began with was written, milliseconds; 0 for the first. */
  basedOn: z.number().int().min(0),
  details: PatientDetails,
});
export type DetailsDraft = z.infer<typeof DetailsDraft>;

/** The language of a patient's screens and reminders, as the clinic sets it. */
export const LanguageDraft = z.object({ patientId: recordId, language: words('The language', 35) });

/** A patient put into the archive, or fetched back. */
export const ArchiveDraft = z.object({ patientId: recordId, archived: z.boolean() });

/** What was typed to find a patient. */
export const PatientSought = z.object({ typed: words('What is looked for', 120) });
/** A patient that was found. */
export type PatientFound = {
  readonly id: string;
  readonly name: string;
  readonly complaint: string;
  readonly clinicNumber: string;
  readonly archived: boolean;
};
