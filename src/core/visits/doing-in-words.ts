import type { AdherenceSummary } from '../adherence';
import { percentText } from '../units';

/**
 * What was done of a span of days, in one sentence.
 *
 * @param days how many were looked at
 * @example "Did 11 of 14 sessions in the last 14 days: 72 % of the dose."
 */
export function doingInWords(
  { daysDue, share, sessionsDue, sessionsDone }: AdherenceSummary,
  days: number,
): string {
  if (sessionsDue === 0 && sessionsDone === 0) return `Nothing was due in the last ${days} days.`;
  const dose = share === null || daysDue === 0 ? '' : `: ${percentText(share)} of the dose`;
  if (sessionsDone === 0)
    return `Nothing told of ${sessionsDue} ${sessionsDue === 1 ? 'session' : 'sessions'} in the last ${days} days.`;
  return `Did ${sessionsDone} of ${Math.max(sessionsDue, sessionsDone)} sessions in the last ${days} days${dose}.`;
}
