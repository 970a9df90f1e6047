import { z } from 'zod';
import { parseZone } from '../schedule';
import { recordId, words } from './words';

const minuteOfDay = z
  .number({ error: 'Write a time of day, such as 07:00.' })
  .int()
  .min(0)
  .max(1439, 'A day has 24 hours.');

/** A new patient, as the form sends it. */
export const PatientDraft = z.object({
  /** Made by the form, so that sending twice makes one patient. */
  id: recordId,
  name: words('The name', 200),
  complaint: words('The complaint', 200),
  zone: z.string().refine((name) => parseZone(name) !== null, 'This time zone is not known.'),
  wakeMinute: minuteOfDay,
  sleepMinute: minuteOfDay,
  minutesADay: z
    .number()
    .int('Whole minutes, please.')
    .min(1, 'At least one minute.')
    .max(240, 'At most 240 minutes a day.')
    .nullable(),
});
export type PatientDraft = z.infer<typeof PatientDraft>;
