import { z } from 'zod';
import { SKIP_REASONS } from '../adherence';
import { recordId, words } from './words';

const count = z.number().int().min(0).max(10_000);
const instant = z.number().int().min(0).max(8_640_000_000_000_000);

const RepDone = z.object({
  round: count,
  side: z.enum(['left', 'right']).nullable(),
  direction: count,
  station: count,
  set: count,
  rep: count,
  held: z.number().min(0).max(86_400),
  moved: z.number().min(0).max(86_400),
});

const Body = z.discriminatedUnion('type', [
  z.object({ type: z.literal('started') }),
  z.object({
    type: z.literal('line'),
    lineage: recordId,
    reps: z.array(RepDone).max(2000),
    skipped: z.enum(SKIP_REASONS).nullable(),
  }),
  z.object({ type: z.literal('stopped'), because: z.enum(['enough', 'symptom']) }),
  z.object({ type: z.literal('ended') }),
  z.object({
    type: z.literal('check-in'),
    pain: z.number().int().min(0, 'Pain is 0 to 10.').max(10, 'Pain is 0 to 10.').nullable(),
    word: words('The note', 200, 0),
  }),
]);

/** One event as the patient's device sends it. */
export const DeviceEvent = z.object({
  id: recordId,
  sessionId: recordId,
  sessionKey: z.string().min(1).max(40),
  programmeId: recordId,
  version: z.number().int().min(1),
  /** The device's clock when it happened, in milliseconds since 1970. */
  deviceAt: instant,
  /** Milliseconds since the session began, by a clock nobody can set. */
  offsetMs: z.number().int().min(0).max(604_800_000),
  body: Body,
});
export type DeviceEvent = z.infer<typeof DeviceEvent>;

/** What a device posts: some events, and its own clock at that moment. */
export const EventsPosted = z.object({
  sentAt: instant,
  events: z.array(DeviceEvent).min(1).max(200),
});
export type EventsPosted = z.infer<typeof EventsPosted>;
