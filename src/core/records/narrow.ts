import { z } from 'zod';

/** By which name a list is narrowed; nothing typed takes it back. */
export const NarrowDraft = z.object({
  name: z.string().max(200, 'A name is at most 200 characters.'),
});
