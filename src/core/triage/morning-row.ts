import type { DayAdherence } from '../adherence';
import type { LocalDate } from '../units';
import type { Triage } from './rules';

/** What makes the clinic look at a patient whatever the numbers say. */
export const ALERT_KINDS = [
  'stopped for a symptom',
  'conflicting log',
  'new weakness',
  'health answers',
] as const;
/** These tell of a danger: a screening from before one stands no more. */
export const DANGER_ALERTS = [
  'stopped for a symptom',
  'new weakness',
  'health answers',
] as const satisfies (typeof ALERT_KINDS)[number][];
export type AlertKind = (typeof ALERT_KINDS)[number];

export const ALERT_REASONS: Readonly<Record<AlertKind, string>> = {
  'stopped for a symptom':
    'Stopped a session because something felt wrong; the programme is paused.',
  'conflicting log': 'A session was reported twice with different content; both are kept.',
  'new weakness': 'New weakness at the last examination, whatever the pain does.',
  'health answers': 'The patient’s own health answers ask for a look today.',
};

export type OpenAlert = {
  readonly id: string;
  readonly kind: AlertKind;
  /** Milliseconds since 1970. */
  readonly createdAt: number;
  /** Nobody took it within the clinic's time: it is the lead's. */
  readonly escalated: boolean;
};

/** A row of the morning list, as it is kept. */
export type MorningRow = Triage & {
  readonly complaint: string;
  readonly days: readonly DayAdherence[];
  readonly alerts: readonly OpenAlert[];
  readonly lastSession: LocalDate | null;
  readonly lastPain: { readonly date: LocalDate; readonly pain: number } | null;
  /** Why it was put aside, and until when; null where it was not. */
  readonly aside: {
    readonly kind: 'done' | 'snoozed';
    readonly until: LocalDate;
    readonly reason: string;
  } | null;
};
