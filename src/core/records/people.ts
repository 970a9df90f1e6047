import { z } from 'zod';
import { type OpenTime, readOpenTimes } from '../opening-hours';
import { type WallMinute, type Zone, parseZone } from '../schedule';
import { WEEKDAYS } from '../units';
import { phoneNumber, recordId, words } from './words';

export const ROLES = ['lead', 'practitioner', 'assistant'] as const;
export type Role = (typeof ROLES)[number];

const email = words('The e-mail address', 200)
  .pipe(z.email('This is not an e-mail address.'))
  .transform((text) => text.toLowerCase());

const newPassword = z
  .string({ error: 'The password is missing.' })
  .min(10, 'A password has at least 10 characters.')
  .max(200, 'A password has at most 200 characters.');

export const SignInDraft = z.object({
  email: z
    .string()
    .max(200)
    .transform((text) => text.trim().toLowerCase()),
  password: z.string().max(200),
  /** A code of the second factor, where there is one. */
  code: z.string().max(40).optional(),
  /** Which clinic, where the address works in several. */
  clinicId: z.string().max(100).optional(),
});

/** The own password once more, before something that only its owner may do. */
export const OwnPassword = z.object({ password: z.string().max(200) });

export const FactorConfirm = z.object({ code: z.string().max(40) });

export const MemberNamed = z.object({ memberId: recordId });

export const MemberDraft = z.object({
  id: recordId,
  name: words('The name', 200),
  email,
  role: z.enum(ROLES, { error: 'Choose a role.' }),
});
export type MemberDraft = z.infer<typeof MemberDraft>;

/** A member's own new password, with the one of before. */
export const PasswordChange = z.object({ old: z.string().max(200), password: newPassword });
export type PasswordChange = z.infer<typeof PasswordChange>;

/** A password set by a one-time link. */
export const PasswordReset = z.object({
  token: z.string().min(1).max(100),
  password: newPassword,
});
export type PasswordReset = z.infer<typeof PasswordReset>;

export const RoleChange = z.object({
  memberId: recordId,
  role: z.enum(ROLES, { error: 'Choose a role.' }),
});
export type RoleChange = z.infer<typeof RoleChange>;

/** An IANA time zone that this runtime knows. */
export const zoneName = z
  .string()
  .refine((name) => parseZone(name) !== null, 'This time zone is not known.')
  .transform((name) => name as Zone);

/** The times of a weekday as they were typed, read into minutes. */
const openTimes = z
  .string()
  .max(100, 'This is too long for the hours of a day.')
  .transform((text, context): readonly OpenTime[] => {
    const read = readOpenTimes(text);
    if (read.ok) return read.times;
    context.addIssue({ code: 'custom', message: read.say });
    return z.NEVER;
  });

/** When the clinic answers, weekday by weekday; one that is left out is closed. */
const openingHours = z.partialRecord(z.enum(WEEKDAYS), openTimes);

/** The same as it is kept. */
export const StoredOpeningHours = z.partialRecord(
  z.enum(WEEKDAYS),
  z.array(
    z.object({
      from: z.number().transform((minute) => minute as WallMinute),
      to: z.number().transform((minute) => minute as WallMinute),
    }),
  ),
);

export const ClinicDraft = z.object({
  name: words('The clinic’s name', 200),
  phone: words('The phone number', 40),
  emergencyText: words('The emergency text', 400),
  /** Dialled by one touch in an emergency; empty where there is none to dial. */
  emergencyNumber: phoneNumber(0).optional(),
  /** Whom a patient calls while the clinic is closed; empty for the clinic's own number. */
  afterHoursPhone: phoneNumber(0).optional(),
  openingHours: openingHours.optional(),
  /** Who reads what phones tell, and when, in the clinic's own words. */
  readsReports: words('Who reads what is told', 200, 0).optional(),
  zone: zoneName,
  screeningDays: z
    .number({ error: 'Write after how many days a screening is redone.' })
    .int('Whole days, please.')
    .min(1, 'At least one day.')
    .max(730, 'At most 730 days.')
    .optional(),
});
export type ClinicDraft = z.infer<typeof ClinicDraft>;

/** What the first-run page sends: the code from the terminal, the clinic and its lead. */
export const FirstRunDraft = z.object({
  code: z.string().trim().max(40),
  clinic: ClinicDraft,
  lead: MemberDraft.omit({ role: true }).extend({ password: newPassword }),
});
export type FirstRunDraft = z.infer<typeof FirstRunDraft>;
