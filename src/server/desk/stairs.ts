import { group } from 'd3';
import { closedBecause, familiesFor, stepsOf } from '@/core/choose';
import { type Exercise, FAMILIES, type Family, propStates } from '@/core/exercise';
import type { Patient } from '@/db';
import { homeOf, planOf } from '../plan';
import { findingList } from '../visit/findings';
import { screeningState } from '../visit/screening';
import { catalogueFor } from './exercises';

export type StairStep = {
  readonly exercise: Exercise;
  /** Its dose, where the patient does it now. */
  readonly dose: string | null;
  /** Why it is closed to this patient; empty when it is open. */
  readonly closed: readonly string[];
  /** What it needs, with what will do instead in this home. */
  readonly needs: readonly string[];
};

export type Stair = {
  readonly family: Family;
  /** Its ladders, each easiest first, by what their steps keep. */
  readonly ladders: readonly { readonly name: string; readonly steps: readonly StairStep[] }[];
  /** Exercises of the family that are no step of another. */
  readonly beside: readonly StairStep[];
  /** Confirmed findings that ask for this family. */
  readonly findings: readonly string[];
};

/** Every family as stairs, as they stand open to this patient; those in use or asked for first. */
export async function stairsOf(patient: Patient): Promise<Stair[]> {
  const [catalogue, plan, home, screening, findings] = await Promise.all([
    catalogueFor(patient.clinicId),
    planOf(patient),
    homeOf(patient),
    screeningState(patient),
    findingList(patient),
  ]);
  const doses = new Map(plan.desk.lines.map((line) => [line.exerciseId, line.dose]));
  const props = home?.body.props ?? null;
  const circumstances = {
    props,
    cannot: home?.body.cannot ?? [],
    precautions: screening.precautions,
  };
  const stepFor = (exercise: Exercise): StairStep => ({
    exercise,
    dose: doses.get(exercise.id) ?? null,
    closed: closedBecause(exercise, circumstances),
    needs: propStates(exercise, props).map((state) =>
      state.kind === 'instead' ? `${state.use} instead of ${state.prop}` : state.prop,
    ),
  });
  const stairs = FAMILIES.map((family): Stair => ({
    family,
    ladders: [
      ...group(
        stepsOf(catalogue.all, family).filter(({ ladder }) => ladder !== null),
        ({ ladder }) => ladder ?? '',
      ),
    ].map(([name, steps]) => ({ name, steps: steps.map(stepFor) })),
    beside: stepsOf(catalogue.all, family)
      .filter(({ ladder }) => ladder === null)
      .map(stepFor),
    findings: findings.confirmed
      .filter((finding) => familiesFor(finding).includes(family))
      .map(({ say }) => say),
  }));
  const weight = ({ ladders, beside, findings: asked }: Stair) =>
    ([...ladders.flatMap(({ steps }) => steps), ...beside].some(({ dose }) => dose !== null)
      ? 2
      : 0) + (asked.length > 0 ? 1 : 0);
  return stairs.sort((a, b) => weight(b) - weight(a));
}
