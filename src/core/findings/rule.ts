import {
  KIND_IDS,
  type MeasureKindId,
  detectableOf,
  formatMeasure,
  kindOf,
  marginAt,
  sideDifference,
} from '../measures';
import { type BodySide, type FindingFacts, type ProposedFinding, latestValue } from './facts';

export type Found = Pick<ProposedFinding, 'say'> &
  Partial<Pick<ProposedFinding, 'source' | 'towards' | 'cue'>> & {
    /** Told apart within one rule, such as a side. */
    readonly part?: string;
  };

export type FindingRule = {
  readonly id: string;
  readonly source: string;
  readonly towards: string;
  readonly read: (facts: FindingFacts) => readonly Found[];
};

export const TRADE = 'Common practice, no source.';
const SIDES: readonly BodySide[] = ['left', 'right'];

/** Kinds of one form of question, so that a rule reads all of them alike. */
export const RANGES = KIND_IDS.filter(
  (kind) => kindOf(kind).step === 'range' && kindOf(kind).form === 'trials',
);
export function words(kind: MeasureKindId, side: BodySide | null): string {
  const name = kindOf(kind).name.toLowerCase();
  return side === null ? name : `${side} ${name}`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** The margin of a kind at a value; null where none is known. */
export function errorOf(facts: FindingFacts, kind: MeasureKindId, value: number): number | null {
  const { margin } = detectableOf(kind, facts.detectable);
  return margin && marginAt(margin, value);
}

export function sidesOf(facts: FindingFacts, kind: MeasureKindId): Found[] {
  const [left, right] = SIDES.map((side) => latestValue(facts, kind, side));
  if (left == null || right == null) return [];
  const found = sideDifference(left, right, detectableOf(kind, facts.detectable).margin);
  if (!found.real || found.less === null || found.needed === null) return [];
  const other = found.less === 'left' ? 'right' : 'left';
  return [
    {
      part: kind,
      say: `${capital(words(kind, found.less))} ${formatMeasure(kind, Math.abs(found.difference))} less than ${other}, beyond error (${formatMeasure(kind, found.needed)}).`,
    },
  ];
}
