import {
  KIND_IDS,
  type MeasureKindId,
  detectableOf,
  formatMeasure,
  kindOf,
  marginAt,
  roundMeasure,
  sideDifference,
} from '../measures';
import type { BodySide, FindingAbout } from './about';
import { type FindingFacts, type LatestMeasure, type ProposedFinding, latestValue } from './facts';

export type Found = Pick<ProposedFinding, 'say'> &
  Partial<Pick<ProposedFinding, 'source' | 'towards' | 'cue'>> &
  Partial<Omit<FindingAbout, 'rule'>> & {
    /** What tells it apart within its rule, in the finding's key; nothing where a rule finds one thing. */
    readonly apart?: string;
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

/** A finding about one measure of one side, with its value. */
export function aboutMeasure({ kind, side, value }: LatestMeasure): Omit<Found, 'say'> {
  return {
    apart: `${kind} ${side ?? ''}`.trim(),
    measure: kind,
    side,
    numbers: value === null ? {} : { value: roundMeasure(kind, value) },
  };
}

/** The margin of a kind at a value; null where none is known. */
export function errorOf(facts: FindingFacts, kind: MeasureKindId, value: number): number | null {
  const { margin } = detectableOf(kind, facts.detectable);
  return margin && marginAt(margin, value);
}

export function lesserSideOf(facts: FindingFacts, kind: MeasureKindId): Found[] {
  const [left, right] = SIDES.map((side) => latestValue(facts, kind, side));
  if (left == null || right == null) return [];
  const found = sideDifference(left, right, detectableOf(kind, facts.detectable).margin);
  if (!found.real || found.less === null || found.needed === null) return [];
  const other = found.less === 'left' ? 'right' : 'left';
  return [
    {
      // One finding for a kind, whichever side is the lesser: it asks again when it changes sides.
      apart: kind,
      measure: kind,
      side: found.less,
      numbers: {
        difference: roundMeasure(kind, Math.abs(found.difference)),
        error: roundMeasure(kind, found.needed),
      },
      say: `${capital(words(kind, found.less))} ${formatMeasure(kind, Math.abs(found.difference))} less than ${other}, beyond error (${formatMeasure(kind, found.needed)}).`,
    },
  ];
}
