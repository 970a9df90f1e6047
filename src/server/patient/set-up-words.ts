import { ENGLISH, sayPhrase } from '@/catalogue';
import type { SentLine } from '@/core/programme';
import { readSetUp } from '@/core/set-up';

/** What of a line's set-up was measured for this patient, in their words. */
export function setUpWords({ setUp }: Pick<SentLine, 'setUp'>, language = ENGLISH): string[] {
  return setUp.map(({ fact }) => sayPhrase(readSetUp(fact), language));
}
