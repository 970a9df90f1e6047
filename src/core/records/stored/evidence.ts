import { z } from 'zod';
import { ANSWERS, ENDINGS, type EpisodeFacts, LAST_TOLD } from '../../evidence';
import { SCHOOL_IDS } from '../../exercise';
import { EPISODE_AREAS } from '../../measures';
import { PAIN_AFTER } from '../../outlook';
import { MOVES } from '../../progression';

/** What an episode tells, as it is kept. */
export const StoredEpisodeFacts = z
  .object({
    ending: z.enum(ENDINGS),
    week: z.number().nullable(),
    lastTold: z.enum(LAST_TOLD).nullable(),
    area: z.enum(EPISODE_AREAS).nullable(),
    school: z.enum([...SCHOOL_IDS, 'no school', 'several']),
    minutes: z.number().nullable(),
    share: z.number().nullable(),
    pain: z.object({ weeks: z.number(), happened: z.boolean() }).nullable(),
    exercises: z.array(
      z.object({
        id: z.string(),
        sessions: z.number(),
        flares: z.number(),
        stops: z.number(),
        leftOut: z.number(),
      }),
    ),
    proposals: z.array(
      z.object({
        move: z.enum(MOVES),
        answer: z.enum(ANSWERS),
        pain: z.enum(PAIN_AFTER),
        trouble: z.boolean(),
      }),
    ),
  })
  .nullable() satisfies z.ZodType<EpisodeFacts | null>;
