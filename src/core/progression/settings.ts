import type { SchoolId } from '../exercise';

/** What a school may be told beyond the dose line. */
export type SchoolSettings = {
  /** Lengthening: the holds to climb through, seconds, rising; empty for the school's own. */
  readonly holds: readonly number[];
  /** Loads: what can be lifted ten times, in `unit`; null while not measured. */
  readonly tenRepMaximum: number | null;
  readonly unit: 'kg' | 'lb';
};

/** A line's school with its parameters. */
export type SchoolChoice = { readonly id: SchoolId; readonly settings: SchoolSettings };

export const NO_SETTINGS: SchoolSettings = { holds: [], tenRepMaximum: null, unit: 'kg' };
