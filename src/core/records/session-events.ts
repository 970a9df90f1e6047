import { z } from 'zod';
import { MOST_EPISODES } from '../record-choices';
import { LIMITS } from '../dose';
import { MOST_EVENTS_POSTED, SKIP_REASONS, SORENESS } from '../adherence';
import {
  ADVICE,
  ARM_CHAIN,
  COMPARED,
  COMPLAINTS,
  LEG_CHAIN,
  OTHER_PARTS,
  type RegionId,
  isRegion,
} from '../symptoms';
import type { Frozen } from '../units';
import { dateText, recordId, words } from './words';

const count = z.number().int().min(0).max(10_000);
const scale = z.number().int().min(0, 'It is 0 to 10.').max(10, 'It is 0 to 10.');
const instant = z.number().int().min(0).max(8_640_000_000_000_000);

/** One repetition or bout as it was done on the device. Counts are 1-based. */
const RepDone = z.object({
  round: count,
  side: z.enum(['left', 'right']).nullable(),
  direction: count,
  station: count,
  set: count,
  rep: count,
  /** Seconds held, really. */
  held: z.number().min(0).max(86_400),
  /** Seconds of prescribed movement, really. */
  moved: z.number().min(0).max(86_400),
});

/** What a patient's own device may tell. */
const DEVICE_BODIES = [
  z.object({ type: z.literal('started') }),
  z.object({
    type: z.literal('line'),
    lineage: recordId,
    reps: z.array(RepDone).max(2000),
    skipped: z.enum(SKIP_REASONS).nullable(),
  }),
  z.object({
    type: z.literal('count'),
    lineage: recordId,
    round: count,
    /** Null where sides alternate within the set: the count is that of each side. */
    side: z.enum(['left', 'right']).nullable(),
    direction: count,
    station: count,
    set: count,
    /** Repetitions done well; null when they were not counted. */
    reps: z.number().int().min(0).max(LIMITS.reps[1]).nullable(),
    /** What was lifted in it; null when nothing was noted. */
    load: z
      .object({
        amount: z.number().min(0).max(LIMITS.weight[1]),
        unit: z.enum(['kg', 'lb']),
      })
      .nullable(),
  }),
  z.object({ type: z.literal('stopped'), because: z.enum(['enough', 'symptom']) }),
  z.object({ type: z.literal('ended') }),
  z.object({
    type: z.literal('check-in'),
    pain: z.number().int().min(0, 'Pain is 0 to 10.').max(10, 'Pain is 0 to 10.').nullable(),
    /** How hard it felt, 0–10. */
    effort: scale.nullable().optional(),
    word: words('The note', 200, 0),
  }),
  z.object({
    type: z.literal('report'),
    lineage: recordId.nullable(),
    report: z.object({
      complaint: z.enum(COMPLAINTS),
      severity: scale,
      compared: z.enum(COMPARED),
      furthest: z.enum([...OTHER_PARTS, ...ARM_CHAIN, ...LEG_CHAIN]).nullable(),
    }),
    advice: z.enum(ADVICE),
  }),
  z.object({ type: z.literal('morning'), date: dateText, soreness: z.enum(SORENESS) }),
  z.object({
    type: z.literal('daily'),
    date: dateText,
    /** The day's worst, whatever it was of. */
    worst: scale.nullable(),
    /** The same of each complaint, where more than one is treated. */
    worstOf: z
      .array(z.object({ episodeId: recordId, worst: scale }))
      .max(MOST_EPISODES)
      .optional(),
    where: z
      .array(z.custom<RegionId>((value) => typeof value === 'string' && isRegion(value)))
      .max(80),
    headache: z.boolean().nullable(),
    note: words('The note', 200, 0),
  }),
  z.object({
    type: z.literal('weekly'),
    date: dateText,
    activities: z.array(z.object({ activity: words('The activity', 300), score: scale })).max(10),
  }),
] as const;

export const SessionEventRecord = z.discriminatedUnion('type', DEVICE_BODIES);

/** What the device tells of a session or of a day, in the order it happened. */
export type SessionEventBody = Frozen<z.output<typeof SessionEventRecord>>;

/**
 * The same as it is kept. Beside what a device tells stands what the clinic wrote down for a patient
 * without one: so much of a line's dose, with nothing counted, and that it was taken back. No device can send these.
 */
export const StoredEventRecord = z.discriminatedUnion('type', [
  ...DEVICE_BODIES,
  z.object({ type: z.literal('told'), lineage: recordId, share: z.number().min(0).max(1) }),
  /** What was written down of a day counts no more; it stays in the record. */
  z.object({ type: z.literal('taken back'), sessions: z.array(recordId).min(1).max(500) }),
]);
export type StoredEventBody = Frozen<z.output<typeof StoredEventRecord>>;

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
  body: SessionEventRecord,
});
export type DeviceEvent = Frozen<z.infer<typeof DeviceEvent>>;

/** What a device posts: some events, and its own clock at that moment. */
export const EventsPosted = z.object({
  sentAt: instant,
  events: z.array(DeviceEvent).min(1).max(MOST_EVENTS_POSTED),
});
export type EventsPosted = Frozen<z.infer<typeof EventsPosted>>;
