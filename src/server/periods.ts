const SECOND_MS = 1000;
const MINUTE_MS = 60 * SECOND_MS;
const DAY_MS = 86_400 * SECOND_MS;

/** How often the server does something by itself, and how long what it keeps holds, milliseconds. */
export const PERIODS_MS = {
  /** The outbox is looked after. */
  outbox: 30 * SECOND_MS,
  /** The longest that messages are sent in one go. */
  outboxBite: MINUTE_MS,
  /** A reminder whose moment passed longer ago is not sent any more. */
  reminderTooLate: 45 * MINUTE_MS,
  /** A mail that comes back later than this is about none that is known. */
  mailComesBack: 30 * DAY_MS,
  /** The rows of the morning list are reckoned in the background. */
  triage: MINUTE_MS,
  /** Changes of records are forgotten that nobody asks for any more; longer than anything is kept. */
  changes: 60 * MINUTE_MS,
  /** Between two looks at how the tables have grown. */
  statistics: DAY_MS,
  /** The longest that one clinic's rows are reckoned in one go. */
  triageBite: 30 * SECOND_MS,
  /** What is kept in memory of a patient whom nobody asks about goes. */
  morningKept: 15 * MINUTE_MS,
  /** A row that could not be kept current, because the clinic writes all the time, holds so long. */
  triageStale: MINUTE_MS,
  /** What episodes tell the clinic is reckoned in the background, and for how long in one go. */
  evidence: 10 * MINUTE_MS,
  evidenceFirst: 20 * SECOND_MS,
  evidenceBite: 30 * SECOND_MS,
  /** The same while somebody waits for the page. */
  evidenceWaited: 2 * SECOND_MS,
  /** A backup is made so often, where a place for them is set. */
  backup: DAY_MS,
  /** Looked whether one is due, and first after the start. */
  backupLooked: 15 * MINUTE_MS,
  backupFirst: MINUTE_MS,
  /** A colleague who touched a desk so lately is still at it. */
  atTheDesk: 15 * MINUTE_MS,
  /** A one-time link by which a member sets a password. */
  passwordLink: DAY_MS,
  /** Pages of one file within it are one look. */
  oneLook: 10 * MINUTE_MS,
  /** A process that died while it did something in the background keeps others from it no longer. */
  lease: 5 * MINUTE_MS,
  /** The audit is sealed. */
  seal: MINUTE_MS,
  /** A session's last use is written down no more often. */
  sessionTouched: MINUTE_MS,
  /** A device's last use is written down no more often. */
  deviceTouched: 60 * MINUTE_MS,
  /** A closed file that was opened with a reason stays open to who opened it. */
  fileOpened: 12 * 60 * MINUTE_MS,
  /** An address an account was signed in from is known. */
  knownPlace: 30 * DAY_MS,
} as const;

/** How much is done at once in the background, so that everybody is let in between. */
export const BATCHES = {
  /** Patients whose reminders are looked at, and messages that are sent. */
  outbox: 200,
  /** Patients whose rows are reckoned where somebody waits for them. */
  triage: 50,
  /** The same in the background. */
  triageBackground: 50,
  /** Patients whose records are kept in memory while something happens. */
  morningsKept: 256,
  /** Tries to keep a row current while the clinic writes. */
  triageTries: 4,
} as const;
