import type { SchoolChoice } from '../records';

/** A line's school with its parameters; the record's own type. */
export type { SchoolChoice };
export type SchoolSettings = SchoolChoice['settings'];

export const NO_SETTINGS: SchoolSettings = { holds: [], tenRepMaximum: null, unit: 'kg' };
