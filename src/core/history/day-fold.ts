import { type StoredEventBody, foldSession } from '../adherence';
import { type Instant, type WakingHours, type Zone, dayBegins, later, minuteIn } from '../schedule';
import { DAY_MS, HOUR_MS, type LocalDate, addDays, itemAt, textOrder } from '../units';
import { type DayReport, RECALLED_AFTER_HOURS, dayOfEvent, foldReport } from './day-report';
import { standingEvents } from './standing-events';
import { type DayDone, type PlayedSession, type ProgrammeVersion, foldDay } from './history';

/** The session key of what is told of a day rather than of a session. */
export const DAY_KEY = 'day';

/** An event as it is kept: what it says, and by which clocks it happened. */
export type KeptEvent = {
  readonly id: string;
  readonly sessionId: string;
  readonly sessionKey: string;
  /** The version it was played from. */
  readonly version: number;
  readonly body: StoredEventBody;
  /** The device's own clock when it happened, milliseconds since 1970. */
  readonly deviceAt: number;
  /** Server's clock less device's clock when it was sent, milliseconds. */
  readonly skewMs: number;
  /** Milliseconds since the session began, by a clock nobody can set. */
  readonly offsetMs: number;
  /** Who at the clinic wrote it down as told; null or left out where a device told it. */
  readonly writtenBy?: string | null;
};

/** Further back than this a device's clock is not believed at all, milliseconds. */
const OLDEST_BELIEVED_MS = 60 * DAY_MS;
/** Further ahead than this neither; clocks of a network differ by seconds. */
const NEWEST_BELIEVED_MS = 120_000;

/**
 * When a session began. The device's clock may be wrong: its difference to ours at sending is taken
 * off, and the beginning is reckoned back from the session's newest event by a clock nobody can set.
 * A clock that then says more than two months ago, or a time to come, is not believed: the session
 * is taken to have just ended.
 *
 * @param newest the session's newest event
 * @param sentAt the device's clock when it sent
 * @param receivedAt our clock when it arrived
 */
export function sessionBegan(
  newest: Pick<KeptEvent, 'deviceAt' | 'offsetMs'>,
  sentAt: number,
  receivedAt: Instant,
): Instant {
  const told = later(receivedAt, newest.deviceAt - newest.offsetMs - sentAt);
  const believable =
    told > receivedAt - OLDEST_BELIEVED_MS && told < receivedAt + NEWEST_BELIEVED_MS;
  return believable ? told : later(receivedAt, -newest.offsetMs);
}

/** A day's entry may be about a day before; further back than this it is put where it was made. */
export const OLDEST_ENTRY_DAYS = 14;

/**
 * The day an event is kept under: the day it is about, where that is neither to come nor older than
 * a fortnight; else the day it happened on.
 */
export function keptUnder(body: StoredEventBody, happenedOn: LocalDate): LocalDate {
  const about = dayOfEvent(body, happenedOn);
  return about > happenedOn || about < addDays(happenedOn, -OLDEST_ENTRY_DAYS) ? happenedOn : about;
}

/** What the fold of a day needs to know of its patient. */
export type FoldContext = { readonly zone: Zone; readonly waking: WakingHours };

/** A day's events, folded: what was done, the pain after its last session, and what was told. */
export type FoldedDay = {
  readonly done: DayDone;
  readonly pain: number | null;
  readonly report: DayReport;
};

/**
 * Folds a day's events, in whatever order they arrived. A session of a version that is not known is
 * left out of what was done; what was told of it stays.
 */
export function foldEvents(
  date: LocalDate,
  events: readonly KeptEvent[],
  versions: readonly ProgrammeVersion[],
  { zone, waking }: FoldContext,
): FoldedDay {
  const standing = standingEvents(events);
  const played = sessionsIn(date, standing, versions, zone);
  const pains = played.flatMap(({ summary }) => summary.pain ?? []);
  return {
    done: foldDay(date, played, waking),
    pain: pains.at(-1) ?? null,
    report: foldReport(toldOn(date, standing, zone)),
  };
}

const happenedAt = ({ deviceAt, skewMs }: KeptEvent) => (deviceAt + skewMs) as Instant;

/** As they happened; what happened at once in the order of its ids, so that a fold never hangs on arrival. */
const inOrder = (a: KeptEvent, b: KeptEvent) =>
  happenedAt(a) - happenedAt(b) || a.offsetMs - b.offsetMs || textOrder(a.id, b.id);

/** The day's sessions in the order they ended. */
function sessionsIn(
  date: LocalDate,
  events: readonly KeptEvent[],
  versions: readonly ProgrammeVersion[],
  zone: Zone,
): PlayedSession[] {
  const bySession = new Map<string, KeptEvent[]>();
  for (const event of events.filter(({ sessionKey }) => sessionKey !== DAY_KEY))
    bySession.set(event.sessionId, [...(bySession.get(event.sessionId) ?? []), event]);
  return [...bySession]
    .flatMap(([sessionId, own]) => {
      const first = itemAt(own, 0);
      const version = versions.find(({ number }) => number === first.version);
      if (!version) return [];
      const began = Math.min(...own.map((event) => happenedAt(event) - event.offsetMs)) as Instant;
      const session: PlayedSession = {
        summary: foldSession(
          sessionId,
          date,
          [...own].sort(inOrder).map(({ body }) => body),
        ),
        key: first.sessionKey,
        version,
        minute: minuteIn(zone, began),
      };
      return [{ session, sessionId, ended: Math.max(...own.map(happenedAt)) }];
    })
    .sort((a, b) => a.ended - b.ended || textOrder(a.sessionId, b.sessionId))
    .map(({ session }) => session);
}

/** Events in the order they happened, each with whether it was entered long after its day. */
function toldOn(date: LocalDate, events: readonly KeptEvent[], zone: Zone) {
  const midnight = dayBegins(zone, addDays(date, 1));
  const late = later(midnight, RECALLED_AFTER_HOURS * HOUR_MS);
  return [...events].sort(inOrder).map((event) => ({
    body: event.body,
    recalled: happenedAt(event) > late,
    writtenDown: (event.writtenBy ?? null) !== null,
  }));
}
