import type { DetectableChanges, MeasureKindId, MeasurementBody } from '@/core/measures';
import type { LocalDate, PatientId } from '@/core/units';

/** A stored value, as the sheet needs it. */
export type KnownMeasure = {
  readonly id: string;
  readonly on: LocalDate;
  readonly value: number | null;
  readonly trials: readonly number[];
  readonly body: MeasurementBody | null;
};

export type KnownSeries = {
  readonly kind: MeasureKindId;
  readonly side: 'left' | 'right' | null;
  readonly last: KnownMeasure;
  readonly first: KnownMeasure;
  readonly count: number;
  /** The newest measurements with who made them, newest first. */
  readonly earlier: readonly EarlierMeasure[];
};

export type EarlierMeasure = KnownMeasure & {
  readonly by: string;
  readonly instrument: string;
  readonly position: string;
  readonly note: string;
  readonly cue: string | null;
};

/** What was measured before, and which change is detectable here. */
export type KnownMeasures = {
  readonly patientId: PatientId;
  readonly series: readonly KnownSeries[];
  readonly detectable: DetectableChanges;
};
