import {
  type Exercise,
  type Family,
  type Position,
  type Purpose,
  type Region,
  type SchoolId,
} from './exercise';

/** What a list of exercises is narrowed by; what is left out narrows nothing. */
export type ExerciseFilter = {
  readonly family?: Family | undefined;
  readonly region?: Region | undefined;
  readonly purpose?: Purpose | undefined;
  readonly position?: Position | undefined;
  /** Only those that need this thing, itself or in place of another. */
  readonly prop?: string | undefined;
  readonly school?: SchoolId | undefined;
};

/** Whether an exercise is among those that are asked for. */
export function isAmong(
  exercise: Exercise,
  { family, region, purpose, position, prop, school }: ExerciseFilter,
): boolean {
  const needs = exercise.props.flatMap((need) => [
    need.prop,
    ...need.orElse.map((one) => one.prop),
  ]);
  return (
    (family === undefined || exercise.family === family) &&
    (region === undefined || exercise.region === region) &&
    (purpose === undefined || exercise.purpose === purpose) &&
    (position === undefined || exercise.position === position) &&
    (prop === undefined || needs.includes(prop)) &&
    (school === undefined || school in exercise.doses)
  );
}
