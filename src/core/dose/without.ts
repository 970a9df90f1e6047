import type { Dose } from './model';

/** The parts of a dose that may be left unwritten. */
type Optional = Exclude<keyof Dose, 'head'>;

/**
 * The same dose with some parts not written.
 *
 * @example without(parse('x10 hold 3s gap 2s'), 'gap') // x10 hold 3s
 */
export function without(dose: Dose, ...parts: readonly Optional[]): Dose {
  const bare: { -readonly [P in keyof Dose]: Dose[P] } = { ...dose };
  for (const part of parts) delete bare[part];
  return bare;
}
