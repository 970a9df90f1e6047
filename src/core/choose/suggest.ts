import { type Exercise, type Family, lineFlags, propStates } from '../exercise';
import type { BodySide, FindingAbout, FindingFacts } from '../findings';
import { type Trait, TRAITS } from '../screen';
import type { Circumstances } from './circumstances';
import type { AskingFinding, ConfirmedFinding } from './finding';
import { sideFor } from './side-for';
import { CHOICE_RULES, type ChoiceRule } from './rules';

/** Why a step is closed to this patient; empty when it is open. */
export function closedBecause(exercise: Exercise, circumstances: Circumstances): string[] {
  const flags = lineFlags(circumstances.precautions, exercise, null);
  const traits = [...new Set(flags.map(({ trait }): Trait => trait))];
  return [
    ...traits.map((trait) => `flagged: ${TRAITS[trait]}`),
    ...(circumstances.cannot.includes(exercise.position)
      ? [`cannot take the position: ${exercise.position}`]
      : []),
    ...propStates(exercise, circumstances.props)
      .filter(({ kind }) => kind === 'missing')
      .map(({ prop }) => `missing at home: ${prop}`),
  ];
}

export type Suggestion = {
  readonly exercise: Exercise;
  /** The findings it answers, as their sentences. */
  readonly findings: readonly ConfirmedFinding[];
  readonly because: string;
  /** Why this step of the stairs. */
  readonly rungBecause: string;
  /** The side to write, by what the exercise's side names; null where the finding names none. */
  readonly side: BodySide | null;
  /** Props replaced, with what that costs. */
  readonly instead: readonly string[];
};

function rulesOf({ about }: ConfirmedFinding): ChoiceRule[] {
  return CHOICE_RULES.filter(({ finding, only }) => about.rule === finding && isAbout(about, only));
}

/** True where every field that a rule names is one of those it names. */
function isAbout(about: FindingAbout, only: ChoiceRule['only']): boolean {
  const { measure, direction, part } = only ?? {};
  const names = (asked: readonly string[] | undefined, value: string | null) =>
    asked === undefined || (value !== null && asked.includes(value));
  return (
    names(measure, about.measure) && names(direction, about.direction) && names(part, about.part)
  );
}

/** The families a finding asks for; empty where no rule knows it. */
export function familiesFor(finding: ConfirmedFinding): Family[] {
  return [...new Set(rulesOf(finding).flatMap(({ families }) => families))];
}

/** A finding with the families it asks for, looked up once. */
export function withFamilies<T extends ConfirmedFinding>(finding: T): T & AskingFinding {
  return { ...finding, families: familiesFor(finding) };
}

/**
 * The step of a family to start on: as many above the first as the measures allow, else the nearest
 * open one below, else above it.
 */
function openRung(
  steps: readonly Exercise[],
  above: number,
  circumstances: Circumstances,
): { exercise: Exercise; moved: string } | null {
  const wanted = Math.min(above, steps.length - 1);
  const below = steps.slice(0, wanted + 1).reverse();
  for (const exercise of [...below, ...steps.slice(wanted + 1)]) {
    if (closedBecause(exercise, circumstances).length > 0) continue;
    const first = steps[wanted];
    const moved =
      first && first !== exercise
        ? ` ${first.name} is closed (${closedBecause(first, circumstances).join(', ')}).`
        : '';
    return { exercise, moved };
  }
  return null;
}

/**
 * Exercises for the confirmed findings, each with its reason and the step to start on: for every
 * family a finding asks for, the step its measures allow that is open to this patient. One that
 * answers more findings stands first; nothing is added by itself.
 *
 * @param irritable a condition that flares easily: one step lower everywhere
 * @returns at most twelve
 */
export function suggest(
  findings: readonly ConfirmedFinding[],
  catalogue: readonly Exercise[],
  facts: FindingFacts,
  circumstances: Circumstances,
): Suggestion[] {
  const lower = facts.irritability?.level === 'high' ? 1 : 0;
  const found = new Map<string, Suggestion & { weight: number }>();
  findings.forEach((finding) => {
    for (const rule of rulesOf(finding)) {
      const start = rule.start(facts);
      const above = Math.max(0, start.above - lower);
      rule.families.forEach((family, place) => {
        const steps = stepsOf(catalogue, family);
        const rung = openRung(steps, place === 0 ? above : 0, circumstances);
        if (!rung) return;
        const side = sideFor(finding.about, rung.exercise);
        const known = found.get(rung.exercise.id);
        const weight = (known?.weight ?? 0) + 1 / (place + 1);
        found.set(rung.exercise.id, {
          exercise: rung.exercise,
          findings: [...(known?.findings ?? []), finding],
          because: known?.because ?? rule.because,
          rungBecause:
            known?.rungBecause ??
            `${place === 0 ? start.because : 'The first open step.'}${lower > 0 && place === 0 ? ' Flares easily: one step lower.' : ''}${rung.moved}`,
          side: known && known.side !== side ? null : side,
          instead: propStates(rung.exercise, circumstances.props).flatMap((state) =>
            state.kind === 'instead'
              ? [`${state.use} instead of ${state.prop}: ${state.consequence}`]
              : [],
          ),
          weight,
        });
      });
    }
  });
  return [...found.values()].sort((a, b) => b.weight - a.weight).slice(0, MOST_SUGGESTIONS);
}

/** A programme is rarely longer; more suggestions would only be skipped. Common practice. */
const MOST_SUGGESTIONS = 12;

/** The steps of a family, easiest first; a clinic's own stand among them by their rung. */
export function stepsOf(catalogue: readonly Exercise[], family: Family): Exercise[] {
  return catalogue.filter((exercise) => exercise.family === family).sort((a, b) => a.rung - b.rung);
}
