import type { Sex } from '../records';
import type { DetectableChanges, MeasureKindId, MeasurementBody, Retest } from '../measures';
import type { Irritability } from '../symptoms';
import type { BodySide, FindingAbout } from './about';

/** The newest measurement of a kind and side, as the rules read it. */
export type LatestMeasure = {
  readonly kind: MeasureKindId;
  readonly side: BodySide | null;
  readonly value: number | null;
  readonly trials: readonly number[];
  readonly body: MeasurementBody | null;
  /** Quality seen, such as "chin juts at the end". */
  readonly note: string;
  /** Pain at the end of the movement, 0–10. */
  readonly painAtEnd: number | null;
  readonly chinJut: boolean;
  readonly retest: Retest | null;
};

export type FindingFacts = {
  readonly measures: readonly LatestMeasure[];
  readonly irritability: Irritability | null;
  readonly detectable: DetectableChanges;
  /** As far as reference values need it; null where it was not asked: then both are shown. */
  readonly sex: Sex | null;
};

/** What the table says of the measures; the clinician confirms, edits or dismisses it. */
export type ProposedFinding = {
  /** Stable from visit to visit: names the finding, and is never read back. */
  readonly key: string;
  readonly about: FindingAbout;
  /** One sentence with its numbers, for people. */
  readonly say: string;
  readonly source: string;
  /** What it asks for, in words; empty where it asks for care instead. */
  readonly towards: string;
  /** A cue that worked at the re-test, to go into the programme. */
  readonly cue: string | null;
};

/** The newest measure of a kind; of a side where one is named. */
export function latest(
  facts: FindingFacts,
  kind: MeasureKindId,
  side: BodySide | null = null,
): LatestMeasure | null {
  return facts.measures.find((one) => one.kind === kind && one.side === side) ?? null;
}

/** Its value; null when it was not measured or has none. */
export function latestValue(
  facts: FindingFacts,
  kind: MeasureKindId,
  side: BodySide | null = null,
): number | null {
  return latest(facts, kind, side)?.value ?? null;
}
