import { SCHOOLS } from '@/core/school';
import type { ComparedBy, Rate } from '@/core/evidence';
import { AREA_WORDS, EPISODE_AREAS } from '@/core/measures';
import { SCHOOL_IDS } from '@/core/exercise';

const range = (low: number, high: number) => `${Math.round(low)}–${Math.round(high)}`;
export const percentRange = (low: number, high: number) => `${range(low * 100, high * 100)} %`;

export const rateInWords = ({ per, low, high }: NonNullable<Rate>) =>
  `${per < 10 ? per.toFixed(1) : Math.round(per)} (${range(low, high)})`;

/** What a group is called on the page. */
export function groupInWords(by: ComparedBy, name: string): string {
  if (by === 'complaint') {
    const area = EPISODE_AREAS.find((one) => one === name);
    return area ? AREA_WORDS[area] : name;
  }
  const school = SCHOOL_IDS.find((one) => one === name);
  return school ? SCHOOLS[school].name : name;
}
