import type { SessionLog } from '../../course';
import { type Dose, holdOf, setsOf } from '../../dose';
import { nextHold } from '../steps/holds';
import { type Choice, type Growth, READY, type Readiness, type Standing, notYet } from './school';

/** A timed hold ends within a frame or two of its second. */
const SLACK = 0.98;

/** The middle one of the holds was as long as the dose asks at its least. */
export function longHeld(dose: Dose, { hold }: SessionLog): Readiness {
  const asked = holdOf(dose);
  if (!asked || hold === null || hold >= asked.least * SLACK) return READY;
  return notYet(`held ${hold} s of ${asked.least} s`);
}

/** Every set that the dose asks at its least was begun. */
export function everySetDone({ head }: Dose, { sets }: SessionLog): Readiness {
  const asked = setsOf(head).least;
  return sets.length >= asked ? READY : notYet(`${sets.length} of ${asked} sets`);
}

/** The next longer hold through these stations; null at the last. */
export function longerHold({ dose }: Standing, stations: readonly number[]): Growth | null {
  const next = nextHold(dose, stations);
  if (!next) return null;
  const station = next.straight && holdOf(next.straight);
  const choices: Choice[] =
    next.straight && station
      ? [
          {
            dose: next.straight,
            say: `Straight to ${station.most} s, the next station: a longer step than half as much again.`,
          },
        ]
      : [];
  return {
    kind: 'dose',
    dose: next.dose,
    measure: 'hold',
    why: station
      ? `Held well: a step towards ${station.most} s.`
      : 'Held well: the next longer hold.',
    ...(choices.length > 0 && { choices }),
  };
}
