import { BATCHES, PERIODS_MS } from '../periods';
import { type Instant, later } from '@/core/schedule';
import { sayToPatient } from '@/catalogue';
import {
  type NotSent,
  ignoredDays,
  type ReminderSettings,
  remindersOf,
  retryAfter,
} from '@/core/reminders';
import { type WallMinute, instantAt } from '@/core/schedule';
import { DAY_MS, MINUTE_MS, type LocalDate, addDays, type ClinicId } from '@/core/units';
import {
  type MessageRow,
  type Patient,
  claimMessage,
  clinicById,
  closeMessage,
  dueMessages,
  insertMessage,
  messageById,
  messagesOf,
  remindedPatients,
  write,
} from '@/db';
import { leased } from '../leases';
import { now } from '../clock';
import { logFailure, unreadableIn } from '../problem';
import { languageFor } from '../languages';
import { pushSender } from '../push/sender';
import { housesSender } from '../mail/sender';
import { factsOf, todayOf, zoneOf } from '../programme-facts';
import { layoutOf, momentsOf } from './day-moments';
import { processWide } from '@/db/process-wide';

/** What became of a message: gone, to be tried again, or never to be sent, and why. */
export type Outcome =
  | { readonly outcome: 'sent' | 'failed' }
  | { readonly outcome: 'refused'; readonly because: NotSent };

/** What a sender has to do. The id is told, so that it may refuse a repetition. */
export type Sender = (
  message: Pick<
    MessageRow,
    'clinicId' | 'patientId' | 'id' | 'channel' | 'purpose' | 'address' | 'text'
  >,
) => Promise<Outcome>;

/** A number from a text, the same each time: the stand-in's luck. */
function numberOf(text: string): number {
  let hash = 2166136261;
  for (const letter of text) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 16777619);
  return (hash >>> 0) / 2 ** 32;
}

/** So large a part of what is tried the stand-in fails, to show what happens then. */
const FAILS_SHARE = 0.2;

/**
 * The stand-in for a text or mail service that ships with Dry Lantern: it delivers to nobody, fails
 * one time in five, and keeps what it was given, each id once.
 */
export function simulatedSender(): Sender & { readonly delivered: ReadonlyMap<string, string> } {
  const delivered = new Map<string, string>();
  const tries = new Map<string, number>();
  const send: Sender = async ({ id, text }) => {
    const attempt = (tries.get(id) ?? 0) + 1;
    tries.set(id, attempt);
    if (numberOf(`${id} ${attempt}`) < FAILS_SHARE) return { outcome: 'failed' };
    delivered.set(id, text);
    return { outcome: 'sent' };
  };
  return Object.assign(send, { delivered });
}

/** Puts the reminders whose moment has come into the outbox, each once. */
export async function planReminders(at = now()): Promise<void> {
  for (let after = ''; ;) {
    const rows = await remindedPatients(after, BATCHES.outbox);
    for (const { patient, settings } of rows)
      if (settings && (settings.sessions || settings.posture))
        await planFor(patient, settings, at).catch((error: unknown) => {
          // The morning list names whose record cannot be read; everybody else is reminded all the same.
          if (unreadableIn(error) === null) throw error;
          logFailure('reminder', error);
        });
    const last = rows.at(-1);
    if (!last || rows.length < BATCHES.outbox) return;
    after = last.patient.id;
  }
}

async function planFor(patient: Patient, settings: ReminderSettings, at: Instant): Promise<void> {
  const today = todayOf(patient);
  const [facts] = await factsOf(patient.clinicId, [patient], addDays(today, -14), today);
  const clinic = await clinicById(patient.clinicId);
  if (!facts || !clinic) return;
  const layout = await layoutOf(patient);
  const zone = zoneOf(patient);
  const wanted = remindersOf(
    momentsOf(facts, today, layout),
    settings,
    ignoredDays(
      today,
      (date) => momentsOf(facts, date, { plan: {}, busy: [] }).length > 0,
      (date) => (facts.done.get(date)?.sessions.length ?? 0) > 0,
    ),
    dayNumber(today),
  )
    .map((reminder) => ({ ...reminder, moment: instantAt(zone, today, reminder.at as WallMinute) }))
    .filter(({ moment }) => moment <= at && moment > at - PERIODS_MS.reminderTooLate);
  if (wanted.length === 0) return;
  await write(() =>
    wanted.map(({ key, kind, label, moment }) =>
      insertMessage({
        clinicId: patient.clinicId,
        id: `${patient.id} ${today} ${key}`,
        patientId: patient.id,
        channel: settings.channel,
        purpose: kind,
        address: settings.address,
        text: sayToPatient(languageFor(patient), `remind.${kind}`, {
          clinic: clinic.name,
          session: label,
        }),
        state: 'waiting',
        attempts: 0,
        dueAt: moment,
        sentAt: null,
        because: null,
        createdAt: at,
      }),
    ),
  );
}

const dayNumber = (date: LocalDate) => Math.floor(Date.parse(`${date}T00:00:00Z`) / DAY_MS);

/** Sends what is due: each message is claimed before it is tried, so that no two send it. */
export async function sendDue(send: Sender, at = now()): Promise<void> {
  const until = performance.now() + PERIODS_MS.outboxBite;
  for (const row of await dueMessages(at, BATCHES.outbox)) {
    // A server that answers slowly keeps nobody's next message waiting for ever: the rest comes next time.
    if (performance.now() > until) return;
    const wait = retryAfter(row.attempts + 1);
    await write(() => [claimMessage(row, later(at, (wait ?? 0) * MINUTE_MS))]);
    const claimed = await messageById(row.clinicId, row.id);
    if (claimed?.state !== 'waiting' || claimed.attempts !== row.attempts + 1) continue;
    const became = await send(row).catch((): Outcome => ({ outcome: 'failed' }));
    if (became.outcome === 'sent') await write(() => [closeMessage(row, 'sent', at)]);
    else if (became.outcome === 'refused')
      await write(() => [closeMessage(row, 'given up', null, became.because)]);
    else if (wait === null)
      await write(() => [closeMessage(row, 'given up', null, 'not delivered')]);
  }
}

const begun = processWide<boolean>('outbox');

/** Looks after the outbox while the server runs; once a process. */
export function startOutbox(): void {
  if (begun.value) return;
  begun.value = true;
  const send = pushSender(housesSender(simulatedSender()));
  let busy = false;
  const timer = setInterval(() => {
    if (busy) return;
    busy = true;
    void leased('outbox', async () => {
      // What is there already goes out even where nothing new can be planned.
      await planReminders().catch((error: unknown) => logFailure('reminders', error));
      await sendDue(send);
    })
      .catch((error: unknown) => logFailure('outbox', error))
      .finally(() => (busy = false));
  }, PERIODS_MS.outbox);
  timer.unref();
}

/** What the outbox viewer shows: the newest hundred messages of the clinic. */
export async function outboxOf(clinicId: ClinicId) {
  return (await messagesOf(clinicId)).map(({ message, name }) => ({
    id: message.id,
    name,
    channel: message.channel,
    address: message.address,
    text: message.text,
    state: message.state,
    attempts: message.attempts,
    dueAt: message.dueAt,
    sentAt: message.sentAt,
    because: message.because,
  }));
}
