import type { Dose } from '../dose';
import type { Exercise } from '../exercise';
import { loadContradiction } from '../load';
import { hasDaysInARow } from '../progression';
import type { PrecautionId } from '../screen';

/** A line as the warnings read it. */
export type WarnedLine = { readonly id: string; readonly exercise: Exercise; readonly dose: Dose };

export type TradeWarning = {
  readonly rule: string;
  readonly say: string;
  /** The lines it is about; empty for the whole programme. */
  readonly lines: readonly string[];
};

type WarningRule = {
  readonly rule: string;
  readonly find: (
    lines: readonly WarnedLine[],
    precautions: readonly PrecautionId[],
  ) => Omit<TradeWarning, 'rule'> | null;
};

const FRONT = ['Nod and tuck, lying', 'Tuck, upright', 'Tuck against resistance'];
const TUCKS = FRONT;
const POSTURE_PARTNERS = ['Shoulder blade', 'Upper back'];
const RESTORING = [
  'neck-base-press',
  'rolled-cloth',
  'wedge-lying',
  'wedge-press',
  'wedge-look-over',
];
const BACK_OF_NECK = ['strength-back'];
/** Percent of the maximum; perceived effort counts ten for each of its points. */
const REST_DAY_FROM = 50;
/** "Every two hours" counts from waking. */
const BEGINS_ON_WAKING: readonly string[] = ['on waking', 'every'];

const inFamilies = (families: readonly string[]) => (line: WarnedLine) =>
  families.includes(line.exercise.family);
const idsOf = (lines: readonly WarnedLine[]) => lines.map(({ id }) => id);

/** Strengthening, but for what declares itself light work for control. */
function isStrengthening({ exercise }: WarnedLine): boolean {
  return (
    (exercise.purpose === 'strengthen' || exercise.family === 'Limb strength') &&
    !exercise.traits.includes('light control')
  );
}

/** A ten-repetition maximum as percent of the one-repetition maximum, by 1/(1 + 10/30) (Epley). */
const TEN_OF_ONE_PERCENT = 75;

/** Percent of the maximum that a line asks for, where it is known; a weight alone tells nothing. */
function percentOfMaximum({ dose }: WarnedLine): number | null {
  const { effort, load } = dose;
  if (effort?.kind === 'percent') return effort.range.least;
  if (effort?.kind === 'perceived') return effort.range.least * 10;
  if (load?.kind !== 'percent') return null;
  const heaviest = Math.max(...load.perSet);
  return load.of === '1rm' ? heaviest : (heaviest * TEN_OF_ONE_PERCENT) / 100;
}

/** Loaded by a weight or a band of which nobody has said how hard it is. */
function isOfUnknownEffort(line: WarnedLine): boolean {
  const { load, band } = line.dose;
  return (load !== undefined || band !== undefined) && percentOfMaximum(line) === null;
}

/** Works the back of the neck or all round it. */
const worksBack = ({ exercise }: WarnedLine) =>
  exercise.muscles.some((muscle) => /extensor|suboccipital|all neck/.test(muscle)) ||
  (exercise.strength !== null && BACK_OF_NECK.includes(exercise.strength));

/** The trade's own warnings. Common practice, no source. Adding one is adding a row. */
const RULES: readonly WarningRule[] = [
  {
    rule: 'tucks alone',
    find: (lines) =>
      lines.some(inFamilies(TUCKS)) &&
      lines.some(({ exercise }) => exercise.purpose === 're-educate') &&
      !lines.some(inFamilies(POSTURE_PARTNERS))
        ? {
            say: 'Chin tucks alone rarely fix posture: add the shoulder blades or the upper back.',
            lines: [],
          }
        : null,
  },
  {
    rule: 'front without back',
    find: (lines) => {
      const strong = lines.filter(
        (line) =>
          inFamilies(FRONT)(line) && ['strengthen', 'endure'].includes(line.exercise.purpose),
      );
      return strong.length > 0 && !lines.some(worksBack)
        ? {
            say: 'The front of the neck is strengthened and the back is not: one school wants that, others want both.',
            lines: idsOf(strong),
          }
        : null;
    },
  },
  {
    rule: 'one direction',
    find: (lines) => {
      const sided = lines.filter(
        ({ dose, exercise }) =>
          (dose.side === 'left' || dose.side === 'right') && exercise.region === 'neck',
      );
      const sides = new Set(sided.map(({ dose }) => dose.side));
      const forward = lines.some(inFamilies(['Bending forward']));
      const back = lines.some(inFamilies(['Bending back']));
      if (sided.length > 0 && sides.size === 1)
        return {
          say: 'Only one side is worked: right where that side was measured short or weak; say so in the finding.',
          lines: idsOf(sided),
        };
      return forward && back
        ? {
            say: 'Bending back and bending forward in one programme: only the direction that draws symptoms in, until bending is to be restored.',
            lines: idsOf(lines.filter(inFamilies(['Bending forward']))),
          }
        : null;
    },
  },
  {
    rule: 'no rest day',
    find: (lines) => {
      const daily = lines.filter(
        (line) =>
          isStrengthening(line) &&
          (percentOfMaximum(line) ?? 0) >= REST_DAY_FROM &&
          hasDaysInARow(line.dose),
      );
      return daily.length > 0
        ? {
            say: 'Strengthening from 50 % of the maximum, or 5 of 10, wants a day between; low-effort holds may be daily.',
            lines: idsOf(daily),
          }
        : null;
    },
  },
  {
    rule: 'effort not told',
    find: (lines) => {
      const unknown = lines.filter(
        (line) => isStrengthening(line) && isOfUnknownEffort(line) && hasDaysInARow(line.dose),
      );
      return unknown.length > 0
        ? {
            say: 'How hard is the load, of 10? On days in a row it should stay below 5: write it as rpe.',
            lines: idsOf(unknown),
          }
        : null;
    },
  },
  {
    rule: 'curve both ways',
    find: (lines) => {
      const restores = lines.filter(({ exercise }) => RESTORING.includes(exercise.id));
      const flattens = lines.filter(inFamilies(['Nod and tuck, lying', 'Tuck, upright']));
      return restores.length > 0 && flattens.length > 0
        ? {
            say: 'It flattens the neck’s curve and restores it: a programme that does both wants a reason.',
            lines: idsOf([...restores, ...flattens]),
          }
        : null;
    },
  },
  {
    rule: 'load contradicts its repetitions',
    find: (lines) => {
      const wrong = lines.filter(({ dose }) => loadContradiction(dose)?.kind === 'too heavy');
      return wrong.length > 0
        ? { say: 'A load is too heavy for its own repetitions.', lines: idsOf(wrong) }
        : null;
    },
  },
  {
    rule: 'end range for the unstable',
    find: (lines, precautions) => {
      const wrong = lines.filter(({ exercise }) =>
        exercise.traits.some((trait) =>
          ['end-range stretch', 'forced end-range turn'].includes(trait),
        ),
      );
      return precautions.includes('instability') && wrong.length > 0
        ? { say: 'End-range work for a neck that is not stable.', lines: idsOf(wrong) }
        : null;
    },
  },
  {
    rule: 'bending soon after waking',
    find: (lines) => {
      const early = lines.filter(
        (line) =>
          (inFamilies(['Bending forward'])(line) ||
            line.exercise.traits.includes('standing bend')) &&
          BEGINS_ON_WAKING.includes(line.dose.times?.kind ?? 'per day'),
      );
      return early.length > 0
        ? {
            say: 'Avoid bending the low back fully soon after waking; “every 2h” begins on waking.',
            lines: idsOf(early),
          }
        : null;
    },
  },
  {
    rule: 'tensioner without slider',
    find: (lines) => {
      const sliders = new Set(
        lines.filter(({ exercise }) => exercise.rung === 1).map(({ exercise }) => exercise.family),
      );
      const wrong = lines.filter(
        ({ exercise }) => exercise.traits.includes('tensioner') && !sliders.has(exercise.family),
      );
      return wrong.length > 0
        ? { say: 'Sliders before tensioners: is the slider easy by now?', lines: idsOf(wrong) }
        : null;
    },
  },
];

/** What the trade would say of this programme, in the order of the table. */
export function tradeWarnings(
  lines: readonly WarnedLine[],
  precautions: readonly PrecautionId[],
): TradeWarning[] {
  return RULES.flatMap(({ rule, find }) => {
    const found = find(lines, precautions);
    return found ? [{ rule, ...found }] : [];
  });
}
