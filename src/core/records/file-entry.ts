import { z } from 'zod';
import { CONTACT_WAYS, VISIT_WAYS, CARE_KINDS } from '../record-choices';
import { POSITIONS } from '../exercise';
import { CHANNELS } from '../reminders';
import { PROVOKED_BY, SETTLES_WITHIN } from '../symptoms';
import { dateText, recordId, words } from './words';

const text = (name: string, most = 1000) => words(name, most, 0);

const pain = z
  .number({ error: 'Pain is 0 to 10.' })
  .min(0, 'Pain is 0 to 10.')
  .max(10, 'Pain is 0 to 10.');

/** How it began and how it goes; the newest one counts. */
export const HistoryBody = z.object({
  onset: text('The onset'),
  aggravates: text('What aggravates it'),
  eases: text('What eases it'),
  morning: text('The morning', 300),
  day: text('The day', 300),
  night: text('The night', 300),
  medicines: text('The medicines'),
  earlierCare: text('The earlier treatment'),
  irritability: z
    .object({
      provokedBy: z.enum(PROVOKED_BY, { error: 'Choose what provokes it.' }),
      worst: pain,
      settlesWithin: z.enum(SETTLES_WITHIN, { error: 'Choose how long it takes to settle.' }),
    })
    .nullable(),
});
export type HistoryBody = z.infer<typeof HistoryBody>;

/** What the patient, or a guardian, has agreed to. */
export const ConsentBody = z
  .object({
    exercise: z.boolean(),
    photos: z.boolean(),
    sharing: z.boolean(),
    /** That the clinic counts this course with others; off until somebody says yes. */
    learning: z.boolean().default(false),
    minor: z.boolean(),
    guardian: text('The guardian’s name', 200),
  })
  .refine((consent) => !consent.minor || consent.guardian !== '', {
    message: 'For a minor a guardian consents: write the name.',
    path: ['guardian'],
  });
export type ConsentBody = z.infer<typeof ConsentBody>;

/** Something the patient wants to do again, by a date. */
export const GoalBody = z.object({
  activity: words('The activity', 300),
  by: dateText.nullable(),
  reachedOn: dateText.nullable(),
});
export type GoalBody = z.infer<typeof GoalBody>;

/** What else happened, on its date: later "what else changed?" reads it. */
export const CareBody = z.object({
  kind: z.enum(CARE_KINDS, { error: 'Choose what it was.' }),
  what: words('What happened', 300),
});
export type CareBody = z.infer<typeof CareBody>;

const MOST_MINUTE = 2 * 1440;
const minute = (most = 1440) =>
  z
    .number({ error: 'A time of day is missing.' })
    .int()
    .min(0, 'A day begins at 00:00.')
    .max(most, 'A day ends at 24:00.');

/** What the patient has at home and how the day is taken up; the newest one counts. */
export const HomeBody = z.object({
  /** Asked props there are. */
  props: z.array(words('A prop', 60)).max(40),
  /** Weights owned. */
  weights: z
    .array(
      z
        .number({ error: 'A weight is a number.' })
        .positive('A weight is more than nothing.')
        .max(500),
    )
    .max(40),
  unit: z.enum(['kg', 'lb']),
  /** Positions the patient cannot take. */
  cannot: z.array(z.enum(POSITIONS)),
  busy: z
    .array(
      z
        .object({ from: minute(), to: minute(), label: words('What it is', 60) })
        .refine(({ from, to }) => to > from, {
          message: 'A block ends after it begins; write one over midnight as two.',
          path: ['to'],
        }),
    )
    .max(12, 'At most twelve blocks.'),
});
export type HomeBody = z.infer<typeof HomeBody>;

/** The clock times at which sessions stand, by session key; the newest one counts. */
export const DayPlanBody = z.object({
  at: z
    .record(z.string().max(40), minute(MOST_MINUTE))
    .refine((at) => Object.keys(at).length <= 60, 'At most sixty sessions.'),
});
export type DayPlanBody = z.infer<typeof DayPlanBody>;

/** What the patient wants to be reminded of; the newest one counts. */
export const RemindersBody = z
  .object({
    sessions: z.boolean(),
    posture: z.boolean(),
    channel: z.enum(CHANNELS, { error: 'A reminder is a text, an e-mail or a push.' }),
    address: words('The number or address', 200, 0),
    quiet: z.object({ from: minute(), to: minute() }),
  })
  .refine(
    ({ sessions, posture, channel, address }) =>
      channel === 'push' || address !== '' || (!sessions && !posture),
    {
      message: 'Write the number or address to remind you at.',
      path: ['address'],
    },
  );
export type RemindersBody = z.infer<typeof RemindersBody>;

/** The clinic asks the patient for a side photo from home; it is taken out when one has come. */
export const PhotoRequestBody = z.object({ note: text('What to look out for', 200) });
export type PhotoRequestBody = z.infer<typeof PhotoRequestBody>;

/**
 * Why there is no screening here: a practitioner screened on paper, on which day. It stands in for a
 * missing one in this episode until the next visit.
 */
export const ScreenedOnPaperBody = z.object({
  why: words('Why it is not here', 300),
  screenedOn: dateText,
});
export type ScreenedOnPaperBody = z.infer<typeof ScreenedOnPaperBody>;

/** That the clinic called or wrote, and what came of it. */
export const ContactBody = z.object({
  way: z.enum(CONTACT_WAYS, { error: 'A call, a message or a video call.' }),
  reached: z.boolean(),
  agreed: text('What was agreed', 600),
});
export type ContactBody = z.infer<typeof ContactBody>;

/** How the visit of a day took place; the newest one of the day counts. */
export const VisitWayBody = z.object({
  way: z.enum(VISIT_WAYS, { error: 'In the room, by phone, by video or by message.' }),
});
export type VisitWayBody = z.infer<typeof VisitWayBody>;

/** When the patient comes next, or is called; the newest one counts. It is no appointment book. */
export const NextVisitBody = z.object({
  date: dateText,
  /** Null where no time was said. */
  minute: minute().nullable(),
  way: z.enum(VISIT_WAYS, { error: 'In the room, by phone, by video or by message.' }),
  note: text('The note', 200),
});
export type NextVisitBody = z.infer<typeof NextVisitBody>;

/** What an entry of each kind holds. */
export const FILE_BODIES = {
  history: HistoryBody,
  consent: ConsentBody,
  goal: GoalBody,
  care: CareBody,
  home: HomeBody,
  'day-plan': DayPlanBody,
  reminders: RemindersBody,
  'photo-request': PhotoRequestBody,
  'screened-on-paper': ScreenedOnPaperBody,
  contact: ContactBody,
  'visit-way': VisitWayBody,
  'next-visit': NextVisitBody,
} as const;
export type FileBodies = { readonly [Kind in FileEntryKind]: z.output<(typeof FILE_BODIES)[Kind]> };

const common = {
  id: recordId,
  patientId: recordId,
  /** The entry this one corrects or brings up to date; null for a new one. */
  supersedes: recordId.nullable(),
  on: dateText,
};

/** An entry of the file. Nothing is overwritten: a later entry supersedes. */
export const FileEntryDraft = z.discriminatedUnion('kind', [
  z.object({ ...common, kind: z.literal('history'), body: HistoryBody }),
  z.object({ ...common, kind: z.literal('consent'), body: ConsentBody }),
  z.object({ ...common, kind: z.literal('goal'), body: GoalBody }),
  z.object({ ...common, kind: z.literal('care'), body: CareBody }),
  z.object({ ...common, kind: z.literal('home'), body: HomeBody }),
  z.object({ ...common, kind: z.literal('day-plan'), body: DayPlanBody }),
  z.object({ ...common, kind: z.literal('reminders'), body: RemindersBody }),
  z.object({ ...common, kind: z.literal('photo-request'), body: PhotoRequestBody }),
  z.object({ ...common, kind: z.literal('screened-on-paper'), body: ScreenedOnPaperBody }),
  z.object({ ...common, kind: z.literal('contact'), body: ContactBody }),
  z.object({ ...common, kind: z.literal('visit-way'), body: VisitWayBody }),
  z.object({ ...common, kind: z.literal('next-visit'), body: NextVisitBody }),
]);
export type FileEntryDraft = z.infer<typeof FileEntryDraft>;
export type FileEntryKind = keyof typeof FILE_BODIES;

/** Takes an entry out; it stays in the record. */
export const WithdrawDraft = z.object({ id: recordId, patientId: recordId, supersedes: recordId });
export type WithdrawDraft = z.infer<typeof WithdrawDraft>;
