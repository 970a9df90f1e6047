import { type Course, happeningsIn } from '../course';
import { type DecidedBefore, MOVE_CLASS } from '../progression';
import type { LocalDate } from '../units';
import type { Decided } from './record';

/** The last word on each proposal, whatever version it was about; what was taken back is open again. */
function lastWords(decisions: readonly Decided[]): Decided[] {
  const said = new Set<string>();
  return decisions.filter((one) => {
    if (said.has(one.key)) return false;
    said.add(one.key);
    return one.decision !== 'taken back';
  });
}

/**
 * What was decided about a line, through all it was before. A decision is about what had happened, and
 * hides nothing that comes after it; one from before that was kept decided what happened before its day.
 *
 * @param decisions newest first
 * @param lineages the line's own, and those of the lines whose place it took
 */
export function decidedBefore(
  decisions: readonly Decided[],
  lineages: ReadonlySet<string>,
  course: Course,
): DecidedBefore {
  const events = new Set<string>();
  let declinedOn: LocalDate | null = null;
  let askedOn: LocalDate | null = null;
  const later = (a: LocalDate | null, b: LocalDate) => (a === null || b > a ? b : a);
  for (const one of lastWords(decisions.filter(({ lineage }) => lineages.has(lineage)))) {
    const kind = MOVE_CLASS[one.move];
    if (kind === 'growth' && one.decision === 'declined')
      declinedOn = later(declinedOn, one.localDate);
    if (kind === 'ask' && one.decision !== 'declined') askedOn = later(askedOn, one.localDate);
    if (kind !== 'danger' && kind !== 'ask') continue;
    if (one.event !== null) events.add(one.event);
    else
      for (const { event, date } of happeningsIn(course))
        if (date < one.localDate) events.add(event);
  }
  return { events, declinedOn, askedOn };
}
