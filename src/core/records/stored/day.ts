import { z } from 'zod';
import { SKIP_REASONS, SORENESS } from '../../adherence';
import type { DayDone, DayReport } from '../../history';
import { NO_REPORT } from '../../history';
import { ADVICE, COMPLAINTS, type RegionId, isRegion } from '../../symptoms';
import { unchangedBy } from './unchanged';

const LineLog = z.object({
  lineage: z.string(),
  share: z.number(),
  reps: z.number(),
  heldSeconds: z.number(),
  hold: z.number().nullable(),
  sets: z.array(z.number()),
  skipped: z.enum(SKIP_REASONS).nullable(),
  counted: z
    .array(
      z.object({
        set: z.number(),
        reps: z.number().nullable(),
        load: z.object({ amount: z.number(), unit: z.enum(['kg', 'lb']) }).nullable(),
      }),
    )
    .optional(),
});

/** What was done on a day, as its fold is kept. */
export const StoredDone = z.object({
  lines: z.array(
    z.object({ lineage: z.string(), shares: z.array(z.number()), beyondMost: z.number() }),
  ),
  sessions: z.array(
    z.object({
      id: z.string(),
      key: z.string(),
      share: z.number(),
      state: z.enum(['open', 'ended', 'stopped', 'stopped for a symptom']),
      version: z.number(),
      minute: z.number(),
      pain: z.number().nullable(),
      effort: z.number().nullable(),
      lines: z.array(LineLog),
    }),
  ),
}) satisfies z.ZodType<DayDone>;

const told = {
  pains: z.array(z.number()),
  effort: z.number().nullable(),
  worst: z.number().nullable(),
  worstOf: z.array(z.object({ episodeId: z.string(), worst: z.number() })).optional(),
  arm: z.number().nullable(),
  leg: z.number().nullable(),
  where: z.array(z.custom<RegionId>((value) => typeof value === 'string' && isRegion(value))),
  headache: z.boolean().nullable(),
  soreness: z.enum(SORENESS).nullable(),
  notes: z.array(z.string()),
  activities: z.array(z.object({ activity: z.string(), score: z.number() })),
  reports: z.array(
    z.object({
      complaint: z.enum(COMPLAINTS),
      severity: z.number(),
      advice: z.enum(ADVICE),
    }),
  ),
  recalled: z.boolean(),
  writtenDown: z.boolean(),
};

/** What was told of a day. Days folded before a part was kept lack it: then nothing was told of it. */
export const StoredReport = z
  .object(told)
  .partial()
  .transform((report): DayReport => ({ ...NO_REPORT, ...report }));

/** Whether a day's fold is kept just as it is read. */
export const isWholeDone = unchangedBy<DayDone>(StoredDone);
/** Whether a day's report is, with every part that is kept today. */
export const isWholeReport = unchangedBy<DayReport>(z.object(told));
