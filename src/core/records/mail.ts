import { z } from 'zod';
import { words } from './words';

/** How the way to the clinic's mail server is protected. */
export const MAIL_SECURITY = ['tls', 'starttls', 'none'] as const;
/** So many mails a day at the most, whatever a clinic asks for. */
const MOST_A_DAY = 5000;

const address = z
  .string()
  .max(200, 'An address can be at most 200 characters long.')
  .transform((text) => text.trim())
  .refine((text) => /^[^\s@<>"]+@[^\s@<>"]+$/.test(text), {
    message: 'An e-mail address looks like name@place.',
  });

/** The clinic's own mail server, as its page sends it. */
export const MailDraft = z.object({
  /** False keeps the stand-in. */
  on: z.boolean(),
  host: words('The mail server', 200),
  port: z
    .number({ error: 'The port is a number, such as 587.' })
    .int('The port is a whole number.')
    .min(1, 'The port is from 1 to 65535.')
    .max(65_535, 'The port is from 1 to 65535.'),
  security: z.enum(MAIL_SECURITY, { error: 'Choose how the way is protected.' }),
  user: words('The user', 200, 0),
  /** Empty keeps the one that was set before. */
  password: z.string().max(500, 'The password can be at most 500 characters long.'),
  from: address,
  mostADay: z
    .number({ error: 'Write how many a day as a number.' })
    .int('A whole number, please.')
    .min(1, 'At least one a day.')
    .max(MOST_A_DAY, `At most ${MOST_A_DAY} a day.`),
});
export type MailDraft = z.infer<typeof MailDraft>;

/** A test goes to the lead who asks for it, and nowhere else. */
export const MailTest = z.object({ test: z.literal(true) });

/** What the link in a mail carries. */
export const MailStop = z.object({ token: z.string().min(1).max(200) });
