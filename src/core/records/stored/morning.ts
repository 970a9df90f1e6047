import { z } from 'zod';
import type { DayAdherence } from '../../adherence';
import { ALERT_KINDS, LEVELS, type MorningRow, STEPS } from '../../triage';
import { dateText } from '../words';

const unplayed = { date: dateText, extraSeconds: z.number() };

const Day = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('before'), date: dateText }),
  z.object({ kind: z.literal('future'), date: dateText }),
  z.object({ kind: z.literal('paused'), ...unplayed }),
  z.object({ kind: z.literal('rest'), ...unplayed }),
  z.object({
    kind: z.literal('due'),
    isToday: z.boolean(),
    share: z.number(),
    sessionsDue: z.number(),
    sessionsDone: z.number(),
    ...unplayed,
  }),
]) satisfies z.ZodType<DayAdherence>;

/** A row of the morning list, as it is kept. */
export const StoredMorningRow = z.object({
  level: z.enum(LEVELS),
  rule: z.string().nullable(),
  reason: z.string(),
  next: z.string(),
  step: z.enum(STEPS),
  also: z.array(z.string()),
  urgency: z.number(),
  complaint: z.string(),
  days: z.array(Day),
  alerts: z.array(
    z.object({
      id: z.string(),
      kind: z.enum(ALERT_KINDS),
      createdAt: z.number(),
      escalated: z.boolean(),
    }),
  ),
  lastSession: dateText.nullable(),
  lastPain: z.object({ date: dateText, pain: z.number() }).nullable(),
  aside: z
    .object({ kind: z.enum(['done', 'snoozed']), until: dateText, reason: z.string() })
    .nullable(),
}) satisfies z.ZodType<MorningRow>;
