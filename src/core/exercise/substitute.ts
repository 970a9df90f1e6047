import { HOUSEHOLD, type Exercise } from './exercise';

export type PropState =
  | { readonly kind: 'there'; readonly prop: string }
  /** Something else will do, at a cost. */
  | {
      readonly kind: 'instead';
      readonly prop: string;
      readonly use: string;
      readonly consequence: string;
    }
  | { readonly kind: 'missing'; readonly prop: string };

/**
 * What stands in for each prop of an exercise in this home: the prop itself, else the first
 * substitute the home has, in the exercise's order of preference.
 *
 * @param atHome what the patient has of the asked props; null while nobody has asked, which counts
 *   as having everything
 * @example propStates(wallPress, []) // pad → folded towel, "less give"
 */
export function propStates(
  exercise: Pick<Exercise, 'props'>,
  atHome: readonly string[] | null,
): PropState[] {
  const has = (prop: string) =>
    atHome === null || atHome.includes(prop) || (HOUSEHOLD as readonly string[]).includes(prop);
  return exercise.props.map(({ prop, orElse }) => {
    if (has(prop)) return { kind: 'there', prop };
    const other = orElse.find((one) => has(one.prop));
    return other
      ? { kind: 'instead', prop, use: other.prop, consequence: other.consequence }
      : { kind: 'missing', prop };
  });
}
