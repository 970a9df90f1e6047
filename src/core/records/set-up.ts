import { z } from 'zod';
import type { Frozen } from '../units';
import { dateText, recordId, words } from './words';

const centimetres = z.number().min(0).max(40);
const kilograms = z.number().min(0).max(500);

/** One thing of an exercise's set-up as it was measured for this patient. */
export const SetUpFactRecord = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('pad'), cm: centimetres }),
  z.object({ kind: z.literal('blanket'), cm: centimetres, under: z.enum(['trunk', 'head']) }),
  z.object({ kind: z.literal('looking up'), degrees: z.number().min(0).max(90) }),
  z.object({
    kind: z.literal('push'),
    side: z.enum(['left', 'right']).nullable(),
    least: kilograms,
    most: kilograms,
  }),
  z.object({
    kind: z.literal('band'),
    name: words('The band', 60),
    /** Its length stretched, in lengths at rest. */
    lengths: z.number().min(1).max(5),
  }),
  z.object({ kind: z.literal('cue'), cue: words('The cue', 200) }),
]);
export type SetUpFact = Frozen<z.output<typeof SetUpFactRecord>>;

/** What a set-up stands on: a measurement, a finding, or the dose of its own line. */
export const SetUpRecord = z.object({
  fact: SetUpFactRecord,
  from: z.discriminatedUnion('kind', [
    z.object({ kind: z.literal('measurement'), id: recordId, on: dateText }),
    z.object({ kind: z.literal('finding'), id: recordId, on: dateText }),
    z.object({ kind: z.literal('dose') }),
  ]),
});
export type SetUp = Frozen<z.output<typeof SetUpRecord>>;

/** More than one exercise ever needs. */
export const MOST_SET_UPS = 12;
