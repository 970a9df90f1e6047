import { z } from 'zod';
import { recordId, words } from './words';

/** Keys of a clinic that are open at once. */
export const MOST_API_KEYS = 20;

/** A key a lead makes for a program of the clinic's own. */
export const ApiKeyDraft = z.object({ id: recordId, name: words('What the key is for', 120) });
export type ApiKeyDraft = z.infer<typeof ApiKeyDraft>;

export const ApiKeyEnd = z.object({ id: recordId });
