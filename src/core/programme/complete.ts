import { shortSetUp } from '../set-up';
import type { LocalDate } from '../units';
import type { Check, CheckedLine } from './check';

/**
 * What a programme leaves open: lines without a dose that can be read, parts that were not written, a
 * set-up that was measured anew.
 */
export function completeness({
  lines,
  reviewOn,
}: {
  readonly lines: readonly CheckedLine[];
  readonly reviewOn: LocalDate | null;
}): Check[] {
  const area = 'complete';
  if (lines.length === 0) return [{ area, weight: 'stops', say: 'No exercise yet.', line: null }];
  return lines.flatMap(({ id, name, planned, missing, assumed, offers }): Check[] => {
    if (!planned)
      return [{ area, weight: 'stops', say: `${name}: the dose cannot be read yet.`, line: id }];
    const said = (weight: Check['weight'], words: readonly string[], before: string): Check[] =>
      words.length > 0
        ? [{ area, weight, say: `${name}${before}${words.join('; ')}`, line: id }]
        : [];
    const anew = said(
      'look',
      offers.flatMap(({ setUp, replaces }) =>
        replaces ? [`${shortSetUp(setUp.fact)}, the line says ${shortSetUp(replaces.fact)}`] : [],
      ),
      ', measured anew: ',
    );
    if (missing.length > 0) return [...said('look', missing, ': '), ...anew];
    if (planned.dose.until?.kind === 'review' && reviewOn === null)
      return [...said('look', ['until review, and no day is set for the review.'], ': '), ...anew];
    const fresh = offers.flatMap(({ setUp, replaces }) =>
      replaces ? [] : [shortSetUp(setUp.fact)],
    );
    return [
      ...anew,
      ...said('note', fresh, ', measured and not sent home: '),
      ...said('note', assumed, ', assumed: '),
    ];
  });
}
