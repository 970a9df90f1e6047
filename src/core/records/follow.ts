import { z } from 'zod';
import { LONGEST_LINE } from '../dose';
import { dateText, recordId, words } from './words';

/** What can be said to a proposal; what was accepted can be taken back until its version is written. */
export const DECISIONS = ['accepted', 'edited', 'declined', 'taken back'] as const;
export type Decision = (typeof DECISIONS)[number];

/** What a proposal can ask for where a number is missing. */
export const ASKED = ['how it goes', 'ten-rep maximum', 'repetitions', 'weights'] as const;
export type Asked = (typeof ASKED)[number];

/** What a clinician says to a proposal. */
export const ProposalDecisionDraft = z
  .object({
    id: recordId,
    patientId: recordId,
    /** The proposal as it was shown; refused when the record proposes something else by now. */
    key: z.string().min(1).max(2000),
    /** The newest version the decider saw. */
    version: z.number().int().min(1),
    decision: z.enum(DECISIONS),
    /** The dose line written instead, where it was edited. */
    dose: z.string().max(LONGEST_LINE, 'This dose line is too long.').nullable(),
    reason: words('The reason', 400, 0),
  })
  .refine(({ decision, reason }) => decision !== 'declined' || reason !== '', {
    message: 'Write why it is declined: later readers of the record will ask.',
    path: ['reason'],
  })
  .refine(({ decision, dose }) => decision !== 'edited' || (dose ?? '').trim() !== '', {
    message: 'Write the dose line that is to take its place.',
    path: ['dose'],
  });
export type ProposalDecisionDraft = z.infer<typeof ProposalDecisionDraft>;

/** Gathers what was accepted into the next version. */
export const ProposalsSend = z.object({
  patientId: recordId,
  basedOn: z.number().int().min(1),
  effectiveFrom: dateText,
});
export type ProposalsSend = z.infer<typeof ProposalsSend>;

/** Puts a row of the morning list aside, or back. */
export const TriageMarkDraft = z
  .object({
    id: recordId,
    patientId: recordId,
    kind: z.enum(['done', 'snoozed', 'back']),
    rule: z.string().max(60),
    /** Days to leave it aside; a done mark lasts today. */
    days: z
      .number()
      .int('Whole days, please.')
      .min(0)
      .max(60, 'At most sixty days: then it asks again.'),
    reason: words('The reason', 300, 0),
  })
  .refine(({ kind, reason }) => kind !== 'snoozed' || reason !== '', {
    message: 'Write why it can wait.',
    path: ['reason'],
  });
export type TriageMarkDraft = z.infer<typeof TriageMarkDraft>;

const limit = (name: string, least: number, most: number) =>
  z
    .number({ error: `${name}: write a whole number.` })
    .int(`${name}: write a whole number.`)
    .min(least, `${name}: at least ${least}.`)
    .max(most, `${name}: at most ${most}.`);

/** The clinic's own limits of triage. */
export const TriageLimitsDraft = z.object({
  /** Pain over this, 0–10, counts … */
  painOver: limit('Pain over', 0, 10),
  /** … so many times in the last `painDays` days. */
  painTimes: limit('Pain, days', 1, 14),
  painDays: limit('Days looked at', 1, 28),
  /** Next-morning flares in the last `painDays` days. */
  flares: limit('Flares', 1, 14),
  spreadingDays: limit('Spreading, days', 1, 14),
  /** Days without a word while something was due. */
  silentDays: limit('Silent, days', 1, 60),
  /** Adherence fell by so many percent points from the fortnight before. */
  fallPercent: limit('Adherence falls by', 5, 100),
  /** Weeks without clear change at good adherence. */
  plateauWeeks: limit('Plateau, weeks', 2, 26),
  /** Days after which an unopened link is asked about. */
  unopenedDays: limit('Unopened, days', 1, 60),
  /** Hours after which an alert nobody has taken goes to the lead. */
  escalateHours: limit('Escalation, hours', 1, 336),
  /** Good days in a row before anything grows. */
  goodSessions: limit('Good sessions', 1, 20),
  /** Least days on a step of the stairs before the next one is proposed. */
  leastRungDays: limit('Least days on a step', 1, 60),
});
export type TriageLimitsDraft = z.infer<typeof TriageLimitsDraft>;
export type TriageLimits = Readonly<TriageLimitsDraft>;

/** A letter after a review, or at discharge. */
export const OutcomeLetterDraft = z.object({
  id: recordId,
  patientId: recordId,
  kind: z.enum(['review', 'discharge']),
  /** In the practitioner's own words, beside the numbers. */
  words: words('Your words', 2000, 0),
  /** For the referrer; allowed only where the patient agreed to sharing. */
  forReferrer: z.boolean(),
});
export type OutcomeLetterDraft = z.infer<typeof OutcomeLetterDraft>;

/** Asks for the keep-going programme. */
export const KeepGoingDraft = z.object({
  patientId: recordId,
  basedOn: z.number().int().min(1),
});

/** Asks for a kept letter as a file, in the patient's own language or in the clinic's. */
export const LetterOrder = z.object({
  patientId: recordId,
  id: recordId,
  paper: z.enum(['a4', 'letter']),
  own: z.boolean().default(false),
});
