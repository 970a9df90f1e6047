import { PRECAUTIONS, type Screened, TRAITS, UNSCREENED, standsFor } from '../screen';
import type { Check, CheckedLine } from './check';

const area = 'safe';

/** What a screening has to say to a programme before any of its lines is read; what stops first. */
function ofScreening(screened: Screened, blocked: boolean): Check[] {
  const stop = (say: string): Check => ({ area, weight: 'stops', say, line: null });
  return [
    ...(standsFor(screened) ? [] : [stop(UNSCREENED[screened])]),
    ...(blocked
      ? [stop('The screening blocks prescribing: record under Screen what was done and why.')]
      : []),
  ];
}

/**
 * What keeps a programme from being sent, for the patient's safety: the screening, and every flag of a
 * line that nobody has written a reason for. It needs no day reckoned.
 */
export function safetyStops({
  lines,
  blocked,
  screened,
}: {
  readonly lines: readonly Pick<CheckedLine, 'id' | 'name' | 'openFlags'>[];
  readonly blocked: boolean;
  readonly screened: Screened;
}): Check[] {
  return [
    ...ofScreening(screened, blocked),
    ...lines.flatMap(({ id, name, openFlags }) =>
      openFlags.map(({ precaution, trait }): Check => ({
        area,
        weight: 'stops',
        say: `${name}: ${TRAITS[trait]} (${PRECAUTIONS[precaution].name}) wants a reason.`,
        line: id,
      })),
    ),
  ];
}
