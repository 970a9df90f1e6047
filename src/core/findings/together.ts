import type { FindingAbout } from './about';

/** Rules that say of one movement of one side that it is short: against the other side, and the norm. */
const SHORT: readonly string[] = ['side-difference', 'range-below-norm'];

/**
 * Findings that say the same of one movement, together: they are one row to whoever decides, and each
 * keeps its own key. All others stand by themselves, each where it stood.
 */
export function togetherFindings<F extends { readonly about: FindingAbout }>(
  findings: readonly F[],
): (readonly F[])[] {
  const groups: F[][] = [];
  const short = new Map<string, F[]>();
  for (const finding of findings) {
    const { rule, measure, side } = finding.about;
    const same = rule !== null && SHORT.includes(rule) ? `${measure} ${side}` : null;
    const there = same === null ? undefined : short.get(same);
    if (there) there.push(finding);
    else {
      const group = [finding];
      groups.push(group);
      if (same !== null) short.set(same, group);
    }
  }
  return groups;
}
