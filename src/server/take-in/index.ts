import type { EventsPosted } from '@/core/records';
import { type PatientHere, actorOf, thatDeviceHolds } from '../access';
import { now } from '../clock';
import { countSent } from '../patient/quota';
import { takeInTurn } from './queue';
import type { Coming, TakenIn, Teller } from './teller';

export { foldedDay } from './fold';
export { hashOf } from './sort-out';
export type { ComingEvent, TakenIn, Teller } from './teller';

/**
 * Takes in what a patient's device posts: each event once, however often and in whatever order it
 * arrives, also against a version that has since changed. The day's fold is stored with it.
 *
 * @throws Problem 413 where a day would hold more than can be read, 429 where a day brings too much;
 *   GuardRefused 'access' where the device does not hold any more
 */
export async function takeIn(here: PatientHere, posted: EventsPosted): Promise<TakenIn> {
  countSent(here.id, JSON.stringify(posted.events).length, now());
  return takeInFrom(
    {
      patient: here.patient,
      access: thatDeviceHolds(here),
      actor: actorOf(here),
      verb: 'sent session events',
      written: null,
    },
    posted,
  );
}

/** Takes in what is told under the same rules, whoever tells it. */
export function takeInFrom(teller: Teller, coming: Coming): Promise<TakenIn> {
  return takeInTurn({ teller, coming });
}
