import {
  CEILING_FAILURES,
  type Evidence,
  type Happening,
  moreIn,
  presentOf,
  rememberedAt,
} from '../course';
import { type Dose, formatDose } from '../dose';
import type { Exercise } from '../exercise';
import type { StepFacts } from './facts';
import { ownedFor } from './owned';
import type { GrownMeasure } from './steps/frequency';
import { halfOf } from './steps/on-step';
import { smallerStep } from './steps/smaller-step';

/** A return without a smaller step between wants so many times the good days. Ours, no source. */
const RETURN_TIMES = 2;

/** What memory makes of a candidate. */
export type Recalled =
  | { readonly kind: 'goes'; readonly dose: Dose; readonly say: string }
  | { readonly kind: 'waits'; readonly say: string };

/**
 * A dose that failed before is tried again by a smaller step; where nothing lies between, once more
 * after twice the good days; where it failed twice, it is a ceiling until something has changed.
 */
export function recall(
  facts: StepFacts,
  dose: Dose,
  measure: GrownMeasure,
  happenings: readonly Happening[],
  { goodDays }: Pick<Evidence, 'goodDays'>,
  exercise: Exercise = facts.exercise,
): Recalled {
  const { course, today, improvedOn, goodSessions } = facts;
  const at = (one: Dose) =>
    rememberedAt(course, happenings, { exercise, dose: one }, today, improvedOn);
  const { failures, until, triedFrom } = at(dose);
  const dates = [...new Set(failures.map(({ date }) => date))];
  const last = dates.at(-1);
  if (last === undefined) return { kind: 'goes', dose, say: '' };
  const present = presentOf(course).dose;
  const isOther = exercise.id !== facts.exercise.id;
  const between = isOther
    ? halfOf(dose)
    : smallerStep(present, dose, measure, ownedFor(present, facts).owned);
  const smaller = between && at(between).failures.length === 0 ? between : null;
  const what = `${formatDose(dose)} went wrong on ${dates.join(' and ')}`;
  const stepDone = !isOther && triedFrom !== null && moreIn(present, triedFrom).includes(measure);
  if (dates.length < CEILING_FAILURES && stepDone)
    return { kind: 'goes', dose, say: `${what}; a smaller step has gone well since.` };
  if (smaller) return { kind: 'goes', dose: smaller, say: `${what}: a smaller step this time.` };
  if (dates.length >= CEILING_FAILURES)
    return {
      kind: 'waits',
      say: `${what}: a ceiling until ${until ?? last}, a better measure, or a clinician’s word.`,
    };
  const need = goodSessions * RETURN_TIMES;
  return goodDays >= need
    ? { kind: 'goes', dose, say: `${what}; ${goodDays} good days since: once more.` }
    : {
        kind: 'waits',
        say: `${what}: ${goodDays} of ${need} good days before it is tried once more.`,
      };
}
