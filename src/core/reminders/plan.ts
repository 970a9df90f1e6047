/** How a reminder leaves the house; `push` to the phones that asked for it, without an address. */
export const CHANNELS = ['text', 'e-mail', 'push'] as const;
export type Channel = (typeof CHANNELS)[number];

/** What a patient wants to be reminded of, and when not. Minutes of the wall clock. */
export type ReminderSettings = {
  readonly sessions: boolean;
  readonly posture: boolean;
  readonly channel: Channel;
  readonly address: string;
  /** No reminder from … to …, over midnight where `to` is the smaller. */
  readonly quiet: { readonly from: number; readonly to: number };
};

/** A moment of the day that may be reminded of. */
export type Remindable = {
  readonly key: string;
  readonly kind: 'session' | 'posture';
  readonly label: string;
  /** Minute of the wall clock it stands at. */
  readonly at: number;
  readonly done: boolean;
};

export type Reminder = Pick<Remindable, 'key' | 'kind' | 'label' | 'at'>;

/** Unanswered in a row: from here every other day, from there once a week. Common practice, no source. */
const EVERY_OTHER_DAY_FROM = 3;
const WEEKLY_FROM = 8;

export function isQuiet(minute: number, { from, to }: ReminderSettings['quiet']): boolean {
  const inDay = ((minute % 1440) + 1440) % 1440;
  if (from === to) return false;
  return from < to ? inDay >= from && inDay < to : inDay >= from || inDay < to;
}

/**
 * Whether a reminder goes out on a day after so many days in a row that were reminded and not done:
 * somebody who does not answer is asked less often, not more.
 *
 * @param dayNumber any count of days that goes up by one each day
 */
export function isReminded(ignoredDays: number, dayNumber: number): boolean {
  if (ignoredDays < EVERY_OTHER_DAY_FROM) return true;
  return ignoredDays < WEEKLY_FROM ? dayNumber % 2 === 0 : dayNumber % 7 === 0;
}

/**
 * The reminders of a day: what is wanted, not done yet, within waking hours and not in a quiet hour.
 *
 * @param moments of the patient's day, as the ribbon lays them
 */
export function remindersOf(
  moments: readonly Remindable[],
  settings: ReminderSettings,
  ignoredDays: number,
  dayNumber: number,
): Reminder[] {
  if (!isReminded(ignoredDays, dayNumber)) return [];
  return moments
    .filter(({ kind }) => (kind === 'session' ? settings.sessions : settings.posture))
    .filter(({ done, at }) => !done && !isQuiet(at, settings.quiet))
    .map(({ key, kind, label, at }) => ({ key, kind, label, at }));
}

/** When a message that could not be sent is tried again, in minutes after the attempt; then it is given up. */
export const RETRY_AFTER_MIN = [1, 5, 15] as const;

/** Minutes until the next try, or null when it is given up. */
export function retryAfter(attempts: number): number | null {
  return RETRY_AFTER_MIN[attempts - 1] ?? null;
}
