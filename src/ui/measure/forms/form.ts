import type { ReactNode } from 'react';
import type { MeasureKindId, MeasurementBody } from '@/core/measures';
import type { Fields, Side } from '../typed';

export type FormRowProps = {
  readonly kind: MeasureKindId;
  readonly side: Side;
  readonly fields: Fields;
  readonly errorAt: (field: string) => string;
  readonly set: (fields: Fields) => void;
  /** What was measured the last time. */
  readonly last: MeasurementBody | null;
};

/** How one form of measurement is filled in. */
export type Form = {
  /** The record of what is typed; its schema says what is wrong with it. */
  readonly body: (fields: Fields) => unknown;
  readonly Rows: (props: FormRowProps) => ReactNode;
};
