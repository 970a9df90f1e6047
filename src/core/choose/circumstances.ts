import type { Position } from '../exercise';
import type { PrecautionId } from '../screen';

/** What the patient's home and body allow. */
export type Circumstances = {
  /** Asked props there are; null while nobody has asked. */
  readonly props: readonly string[] | null;
  readonly cannot: readonly Position[];
  readonly precautions: readonly PrecautionId[];
};

/**
 * Home and body as choosing takes them.
 *
 * @param home what was told of them; null while nobody has asked
 */
export function circumstancesOf(
  home: Partial<Pick<Circumstances, 'props' | 'cannot'>> | null,
  precautions: Circumstances['precautions'],
): Circumstances {
  return { props: home?.props ?? null, cannot: home?.cannot ?? [], precautions };
}
