import { z } from 'zod';
import { fileHandler } from '@/server/handler';
import { calendarOf } from '@/server/patient/calendar';

export const POST = fileHandler({
  who: 'patient',
  input: z.strictObject({}),
  run: async ({ actor }) => ({
    bytes: await calendarOf(actor.patient),
    type: 'text/calendar; charset=utf-8',
    name: 'exercises.ics',
  }),
});
