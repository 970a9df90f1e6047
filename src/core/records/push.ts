import { z } from 'zod';

/** Bytes as a browser writes them (base 64, for addresses). */
const bytes = (name: string, least: number, most: number) =>
  z
    .string()
    .min(least, `${name} is too short.`)
    .max(most, `${name} is too long.`)
    .regex(/^[A-Za-z0-9_-]+=*$/, `${name} is none.`);

/** A phone that asks for notices, as its browser says it (Push API, W3C). */
export const PushDraft = z.object({
  endpoint: z.url({ error: 'This is no address for notices.' }).max(1000),
  p256dh: bytes('The key', 80, 100),
  auth: bytes('The secret', 16, 40),
});
export type PushDraft = z.infer<typeof PushDraft>;

/** Turns the clinic's notices to phones on or off. */
export const PushSwitch = z.object({ on: z.boolean() });
