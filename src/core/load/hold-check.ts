import { type Dose, repsOfSet, setsOf } from '../dose';
import { type Range, type Seconds, seconds } from '../units';
import { type Fraction, fraction, predictedEndurance } from './endurance';

export type HoldCheck = {
  /** One hold as the dose asks it. */
  readonly asked: Range<Seconds>;
  /** How long a steady hold is predicted to last at the written effort. */
  readonly predicted: Range<Seconds>;
  /** Every model lets it be held, some do, or none does. */
  readonly verdict: 'within' | 'models differ' | 'beyond';
  /** The same held time of a set in shorter holds; null while every model lets it be held. */
  readonly shorter: { readonly reps: number; readonly hold: Seconds } | null;
};

/** Shorter holds are offered as this share of the shortest prediction, in steps of five seconds. */
const SHORTER_SHARE = 0.5;
const STEP_SECONDS = 5;
/** Holds up to this long, seconds, are not worth a check: every model lets them be held. */
const SHORT_HOLD = 15;

/** The effort as shares of the maximum; a perceived 4 of 10 is read as about 40 %. Common practice. */
function effortOf(dose: Dose): Range<Fraction> | null {
  const { effort } = dose;
  if (!effort) return null;
  const whole = effort.kind === 'percent' ? 100 : 10;
  return {
    least: fraction(effort.range.least / whole),
    most: fraction(effort.range.most / whole),
  };
}

/**
 * Holds a steady hold against what endurance models predict at its effort. The models assume
 * constant force; keeping the feeling constant lets the force fall, so "beyond" is a reason to look,
 * not a refusal.
 *
 * @returns null for a dose without hold or effort, or with short holds
 * @example holdCheck(parse('3x120s 50%')) // predicted 52–110 s, beyond; the same time in shorter holds
 */
export function holdCheck(dose: Dose): HoldCheck | null {
  const asked = dose.head.kind === 'bouts' ? dose.head.span : dose.hold;
  const effort = effortOf(dose);
  if (!asked || !effort || asked.most <= SHORT_HOLD) return null;
  const predicted = predictedEndurance(effort);
  if (!predicted) return null;
  const verdict =
    asked.most <= predicted.least
      ? 'within'
      : asked.most <= predicted.most
        ? 'models differ'
        : 'beyond';
  return {
    asked,
    predicted,
    verdict,
    shorter: verdict === 'within' ? null : shorterHolds(dose, asked, predicted),
  };
}

/** The most held seconds of all sets, cut into holds every model lets be held, rounded up. */
function shorterHolds(
  dose: Dose,
  asked: Range<Seconds>,
  predicted: Range<Seconds>,
): { reps: number; hold: Seconds } {
  const sets = Array.from({ length: setsOf(dose.head).most }, (_, set) =>
    repsOfSet(dose.head, set),
  );
  const total = sets.reduce((sum, reps) => sum + reps.most, 0) * asked.most;
  const hold = Math.max(
    STEP_SECONDS,
    Math.floor((predicted.least * SHORTER_SHARE) / STEP_SECONDS) * STEP_SECONDS,
  );
  return { reps: Math.ceil(total / hold), hold: seconds(hold) };
}
