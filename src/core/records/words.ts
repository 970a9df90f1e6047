import { z } from 'zod';
import { type LocalDate, parseLocalDate } from '../units';

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

/** Text of several paragraphs: trimmed, any script, no control characters but the end of a line. */
export function paragraphs(name: string, longest: number) {
  return z
    .string({ error: `${name} is missing.` })
    .transform((text) =>
      text
        .normalize('NFC')
        .replace(/\r\n?/g, '\n')
        .replace(/[^\P{Cc}\n]+/gu, ' ')
        .trim(),
    )
    .pipe(z.string().max(longest, `${name} can be at most ${longest} characters long.`));
}

/** A telephone number as people write it: digits, and what stands between them. */
export function phoneNumber(shortest: 0 | 1) {
  return words('The number', 40, shortest).refine(
    (text) => text === '' || (/^[+\d\s()/.-]+$/.test(text) && /\d.*\d.*\d/.test(text)),
    { message: 'A telephone number has digits, with blanks, +, brackets or dashes between.' },
  );
}

/** An id made by this application or a device. */
export const recordId = z.uuid({ error: 'This is not a record’s id.' });

/** A day as people and machines both read it. */
export const dateText = z
  .string()
  .refine((text) => parseLocalDate(text) !== null, 'Write a date as 2026-11-30.')
  .transform((text) => text as LocalDate);
