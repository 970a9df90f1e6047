import type { StoredEventBody } from '../adherence';

type Kept = {
  readonly sessionId: string;
  readonly body: StoredEventBody;
  /** Who at the clinic wrote it down as told; null or left out where a device told it. */
  readonly writtenBy?: string | null;
};

const isWritten = ({ writtenBy = null }: Kept) => writtenBy !== null;

/**
 * The events that stand: without those that the clinic wrote down as told and took back again, and
 * without the taking back itself. What a device told is never taken back by anybody.
 *
 * @param events of at least one whole day: a day is taken back on that day
 */
export function standingEvents<Event extends Kept>(events: readonly Event[]): Event[] {
  const gone = new Set<string>();
  for (const event of events)
    if (event.body.type === 'taken back' && isWritten(event))
      for (const session of event.body.sessions) gone.add(session);
  return events.filter(
    (event) => event.body.type !== 'taken back' && !(isWritten(event) && gone.has(event.sessionId)),
  );
}
