import { z } from 'zod';

/** Text as people type it: trimmed, any script, without control characters. */
export function words(name: string, longest: number, shortest = 1) {
  return z
    .string({ error: `${name} is missing.` })
    .transform((text) =>
      text
        .normalize('NFC')
        .replace(/\p{Cc}+/gu, ' ')
        .trim(),
    )
    .pipe(
      z
        .string()
        .min(
          shortest,
          shortest === 1 ? `${name} is missing.` : `${name} needs at least ${shortest} characters.`,
        )
        .max(longest, `${name} can be at most ${longest} characters long.`),
    );
}

/** An id made by this application or a device. */
export const recordId = z.uuid({ error: 'This is not a record’s id.' });
