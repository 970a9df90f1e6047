/** The record's own type: inferred from its schema, so that it stands once. */
export type { MeasurementBody } from '../records';

/** A cue tried at once, and what it did to the same movement. */
export type Retest = { readonly cue: string; readonly trials: readonly number[] };
