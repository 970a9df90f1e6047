import type { BandLevel, Dose, Load } from '../../dose';
import { type BandCurve, REAL_STEP, bandForce, loadStep, predictedLoad } from '../../load';
import { type Choice, type Growth, type Standing, thenOften } from './school';
import { toHundredth, toTenth } from '../../units';

/** The formulas predict a ten-rep maximum from up to fifteen repetitions and a five-rep one from seven. */
const RULE = 'Epley 1985, Brzycki 1993; memory';
/** Weights shown to choose from where nothing is lifted yet. */
const FIRST_WEIGHTS = 3;
const LEVELS: readonly BandLevel[] = ['light', 'medium', 'firm'];
/** A band's force is measured at this stretch where the line does not say. Ours. */
const USUAL_STRETCH = 100;

/** Ten and five in words, as the schools say them. */
const maximumOf = (reps: number) =>
  `${reps === 10 ? 'ten' : reps === 5 ? 'five' : reps}-rep maximum`;

/**
 * More resistance once every set reached its repetitions: a real step, at most what those repetitions
 * predict for the fewest of the next sets. Where the next weight there is lies beyond that, both are
 * shown and the clinician chooses.
 *
 * @param reps what every set reached
 * @param backTo the fewest repetitions of the next sets
 */
export function heavier(standing: Standing, reps: number, backTo: number): Growth {
  const { dose } = standing;
  if (dose.load?.kind === 'weight') return heavierWeight(standing, dose.load, reps, backTo);
  if (dose.load?.kind === 'percent')
    return {
      kind: 'ask',
      what: 'ten-rep maximum',
      why: 'The percents stay, the load grows: the ten-rep maximum is asked for.',
    };
  if (dose.band) return heavierBand(standing, reps, backTo);
  return firstLoad(standing);
}

type Weight = Extract<Load, { kind: 'weight' }>;

/** A dose whose sets keep their shares of the heaviest one, at another heaviest one. */
export function withTop(dose: Dose, load: Weight, top: number, owned: readonly number[]): Dose {
  const now = topOf(load);
  const perSet = load.perSet.map((one) =>
    one === 'adj' ? one : ownedNear((one / now) * top, owned),
  );
  return { ...dose, load: { ...load, perSet } };
}

/** The heaviest set. */
export function topOf({ perSet }: Weight): number {
  return Math.max(...perSet.map((one) => (one === 'adj' ? 0 : one)));
}

/** The nearest weight there is, the lighter of two as near; any, rounded, where any can be set. */
export function ownedNear(wanted: number, owned: readonly number[]): number {
  const there = owned.filter((one) => one > 0).sort((a, b) => a - b);
  const [first, ...others] = there;
  if (first === undefined) return Math.max(0.1, toHundredth(wanted));
  return others.reduce(
    (best, next) => (Math.abs(next - wanted) < Math.abs(best - wanted) - 1e-9 ? next : best),
    first,
  );
}

function heavierWeight(
  { dose, owned }: Standing,
  load: Weight,
  reps: number,
  backTo: number,
): Growth {
  const top = topOf(load);
  if (top === 0) return { kind: 'stays', why: 'The load is set during the session.' };
  const { unit } = load;
  const step = loadStep(top, reps, owned, backTo);
  const asked = owned.filter((one) => one > top + 1e-9).sort((a, b) => a - b)[0];
  const from = `${reps} repetitions with ${top} ${unit}`;
  const predicted = `${from} predict a ${maximumOf(backTo)} of ${step.bound} ${unit} (${RULE})`;
  if (step.to !== null)
    return {
      kind: 'dose',
      dose: withTop(dose, load, step.to, owned),
      measure: 'load',
      why: `${predicted}: ${step.to} ${unit} is a real step within it, back to ${backTo}.`,
    };
  if (asked === undefined)
    return { kind: 'stays', why: `${predicted}: it needs a ${step.bound} ${unit} weight.` };
  if (asked <= step.bound)
    return {
      kind: 'stays',
      why: `${predicted}: the next weight, ${asked} ${unit}, is a token step only.`,
    };
  const enough = repsFor(top, asked, backTo);
  return {
    kind: 'choose',
    choices: [
      {
        dose: withTop(dose, load, asked, owned),
        say: `Take ${asked} ${unit}, beyond the predicted ${step.bound} ${unit}: fewer repetitions are to be expected.`,
      },
    ],
    why: `Asked: ${asked} ${unit}, the next weight there is. Predicted by ${from}: a ${maximumOf(backTo)} of ${step.bound} ${unit} (${RULE}). Staying needs a ${step.bound} ${unit} weight${enough === null ? '' : `, or about ${enough} repetitions with ${top} ${unit}`}.`,
  };
}

/** The fewest repetitions with one load that predict another one; null beyond thirty. */
function repsFor(load: number, wanted: number, backTo: number): number | null {
  for (let reps = backTo; reps <= 30; reps += 1)
    if (predictedLoad(load, reps, backTo).most >= wanted) return reps;
  return null;
}

function heavierBand(standing: Standing, reps: number, backTo: number): Growth {
  const { dose, bands } = standing;
  const { band } = dose;
  if (!band) return firstLoad(standing);
  if (band.band.kind === 'level') {
    const { level } = band.band;
    const next = LEVELS[LEVELS.indexOf(level) + 1];
    return next
      ? {
          kind: 'dose',
          dose: { ...dose, band: { ...band, band: { kind: 'level', level: next } } },
          measure: 'band',
          why: `All sets reached ${reps}: the next band, back to ${backTo}. How much harder it pulls is not measured here.`,
        }
      : {
          kind: 'stays',
          why: 'Firm is the heaviest of the three: measure the clinic’s own bands, or take weights.',
        };
  }
  const { name } = band.band;
  const mine = bands.find((one) => one.name === name);
  const stretch = band.stretchPercent ?? USUAL_STRETCH;
  const force = mine && bandForce(mine.points, stretch);
  if (!mine || !force || force.newtons <= 0)
    return {
      kind: 'stays',
      why: `The force of the band ${name} is not measured: write the next one.`,
    };
  return stronger(dose, mine, stretch, force.newtons, reps, backTo, bands);
}

function stronger(
  dose: Dose,
  mine: BandCurve,
  stretch: number,
  newtons: number,
  reps: number,
  backTo: number,
  bands: readonly BandCurve[],
): Growth {
  const bound = predictedLoad(newtons, reps, backTo).most;
  const measured = ({ points }: BandCurve) => points.map(({ stretchPercent }) => stretchPercent);
  const ways = bands.flatMap((curve) => {
    const [least, most] = [Math.min(...measured(curve)), Math.max(...measured(curve))];
    // The same band first, further; another one at stretches that were measured.
    return stretchesOf(curve === mine ? stretch + 10 : least, most).flatMap((percent) => {
      const force = bandForce(curve.points, percent);
      return force && force.newtons >= newtons * (1 + REAL_STEP)
        ? [{ curve, percent, newtons: force.newtons }]
        : [];
    });
  });
  const within = ways
    .filter((way) => way.newtons <= bound + 1e-9)
    .sort((a, b) => Number(b.curve === mine) - Number(a.curve === mine) || b.newtons - a.newtons);
  const as = ({ curve, percent }: (typeof ways)[number]): Dose => ({
    ...dose,
    band: { band: { kind: 'named', name: curve.name }, stretchPercent: percent },
  });
  const n = (value: number) => `${toTenth(value)} N`;
  const predicted = `${reps} repetitions at ${n(newtons)} predict a ${maximumOf(backTo)} of ${n(bound)} (${RULE})`;
  const [best] = within;
  if (best)
    return {
      kind: 'dose',
      dose: as(best),
      measure: 'band',
      why: `${predicted}: ${best.curve.name} at ${best.percent} % pulls ${n(best.newtons)}, back to ${backTo}.`,
    };
  const beyond = [...ways].sort((a, b) => a.newtons - b.newtons)[0];
  return beyond
    ? {
        kind: 'choose',
        choices: [
          {
            dose: as(beyond),
            say: `Take ${beyond.curve.name} at ${beyond.percent} %, ${n(beyond.newtons)}: beyond the predicted ${n(bound)}.`,
          },
        ],
        why: `${predicted}. No band pulls so much and no more.`,
      }
    : { kind: 'stays', why: `${predicted}: no stronger band has been measured.` };
}

/** Stretches on whole tens. */
function stretchesOf(from: number, to: number): number[] {
  const first = Math.max(10, Math.ceil(from / 10) * 10);
  return Array.from(
    { length: Math.max(0, Math.floor((to - first) / 10) + 1) },
    (_, i) => first + i * 10,
  );
}

/** Nothing is lifted yet: the lightest weights there are, to choose from. The limb’s own weight is not in them. */
function firstLoad(standing: Standing): Growth {
  const { dose, owned, unit, exercise } = standing;
  if (exercise.props.some(({ prop }) => prop === 'flat band'))
    return {
      kind: 'choose',
      choices: [
        {
          dose: { ...dose, band: { band: { kind: 'level', level: 'light' } } },
          say: 'Begin with a light band.',
        },
      ],
      why: 'Every set is reached and no band is written: choose the first one.',
    };
  if (exercise.growth && !exercise.growth.carriesLoad)
    return thenOften(standing, 'Every set is reached, and no weight goes with it: the next step.');
  const there = owned.filter((one) => one > 0).sort((a, b) => a - b);
  if (there.length === 0)
    return {
      kind: 'ask',
      what: 'weights',
      why: 'Every set is reached and nothing is lifted: which weights are there at home?',
    };
  const choices = there.slice(0, FIRST_WEIGHTS).map((weight): Choice => ({
    dose: { ...dose, load: { kind: 'weight', unit, perSet: [weight] } },
    say: `Begin with ${weight} ${unit}.`,
  }));
  return {
    kind: 'choose',
    choices,
    why: 'Every set is reached and nothing is lifted: choose the first weight. Nothing predicts it, since the limb’s own weight is not in it.',
  };
}
