import { z } from 'zod';
import { recordId } from '@/core/records';
import { publicOrigin } from '@/server/address';
import { fileHandler } from '@/server/handler';
import { takeOut } from '@/server/whole-record/take-out';

/** One patient's whole record, in one file. */
export const POST = fileHandler({
  who: 'practitioner',
  input: z.object({ patientId: recordId }),
  run: async ({ actor, input, request }) => ({
    bytes: await takeOut(actor, input.patientId, publicOrigin(request)),
    type: 'application/zip',
    name: 'whole-record.zip',
  }),
});
