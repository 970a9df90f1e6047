import type { SchoolId } from '../../exercise';
import { ADJUSTABLE } from './adjustable';
import { ANGLES } from './angles';
import { BARRIERS } from './barriers';
import { CLIMB } from './climb';
import { DESCENDING_SETS } from './descending-sets';
import { LENGTHEN } from './lengthen';
import { PAIN_RELIEF } from './pain-relief';
import { REPEATED } from './repeated';
import type { SchoolRule } from './school';
import { ASCENDING, DESCENDING_LOAD } from './ten-rep-maxima';
import { VOLUME_LOAD } from './volume-load';

export { fourthSet, type FourthSet } from './adjustable';
export { repsInAll } from './ten-rep-maxima';
export type { Choice, Growth, Readiness, SchoolRule, Standing } from './school';

/** How each school moves a line. */
export const SCHOOL_RULES: Readonly<Record<SchoolId, SchoolRule>> = {
  lengthen: LENGTHEN,
  climb: CLIMB,
  'volume-load': VOLUME_LOAD,
  ascending: ASCENDING,
  'descending-load': DESCENDING_LOAD,
  adjustable: ADJUSTABLE,
  'descending-sets': DESCENDING_SETS,
  barriers: BARRIERS,
  angles: ANGLES,
  'pain-relief': PAIN_RELIEF,
  repeated: REPEATED,
};
