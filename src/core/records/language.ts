import { z } from 'zod';
import { recordId } from './words';

/** A clinic stands for a language's texts as they are, told by their hash. */
export const LanguageCheckDraft = z.object({
  id: recordId,
  language: z.string().max(35),
  hash: z.string().max(64),
});
export type LanguageCheckDraft = z.infer<typeof LanguageCheckDraft>;

export const LanguageCheckEnd = z.object({ language: z.string().max(35) });

/** A patient chooses what they read. */
export const OwnLanguage = z.object({ language: z.string().max(35) });
