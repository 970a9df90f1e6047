import { z } from 'zod';
import { EPISODE_AREAS } from '../measures';
import type { WallMinute } from '../schedule';
import { RemindersBody } from './file-entry';
import { zoneName } from './people';
import { dateText, recordId, words } from './words';

/** Minutes a day a person says they have. */
const minutes = z
  .number()
  .int('Whole minutes, please.')
  .min(1, 'At least one minute.')
  .max(240, 'At most 240 minutes a day.')
  .nullable();

const minuteOfDay = z
  .number({ error: 'Write a time of day, such as 07:00.' })
  .int()
  .min(0)
  .max(1439, 'A day has 24 hours.')
  .transform((minute) => minute as WallMinute);

/** A new patient, as the form sends it. */
export const PatientDraft = z.object({
  /** Made by the form, so that sending twice makes one patient. */
  id: recordId,
  name: words('The name', 200),
  complaint: words('The complaint', 200),
  /** What it is mainly of; null where nobody chose. */
  area: z
    .enum(EPISODE_AREAS, { error: 'Choose what the complaint is mainly of.' })
    .nullable()
    .optional(),
  zone: zoneName,
  wakeMinute: minuteOfDay,
  sleepMinute: minuteOfDay,
  minutesADay: minutes,
  /** Asked for on the phone before the history is shown, where the clinic keeps it. */
  birthDate: dateText.nullable().optional(),
  /** That somebody of this name or birth date is another person. */
  another: z.boolean().optional(),
  /** How the clinic reaches the patient. */
  contact: words('The number or address', 200, 0).optional(),
});
export type PatientDraft = z.infer<typeof PatientDraft>;

/** What a patient sets on the phone. */
export const PatientSettings = z.object({
  id: recordId,
  minutesADay: minutes,
  wakeMinute: minuteOfDay,
  sleepMinute: minuteOfDay,
  /** Asked props there are at home. */
  props: z.array(words('A prop', 60)).max(40),
  /** A BCP 47 tag; whether there are texts in it the server knows. */
  language: words('The language', 35),
  reminders: RemindersBody,
});
export type PatientSettings = z.infer<typeof PatientSettings>;

/** One device of a patient, to be ended. */
export const DeviceEnd = z.object({ patientId: recordId, device: z.string().min(1).max(100) });

export const PAUSE_REASONS = ['ill', 'travelling', 'other'] as const;

/** A pause of the patient's own, both days included. */
export const OwnPause = z
  .object({
    id: recordId,
    from: dateText,
    to: dateText,
    reason: z.enum(PAUSE_REASONS, { error: 'Ill, travelling or another reason.' }),
  })
  .refine(({ from, to }) => to >= from, {
    message: 'It would end before it begins.',
    path: ['to'],
  });
export type OwnPause = z.infer<typeof OwnPause>;
