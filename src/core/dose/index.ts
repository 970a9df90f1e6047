export { type DoseNeeds, type Unwritten, unwrittenParts } from './assumptions';
export type { DoseError } from './error';
export * from './breath-fit';
export * from './complete';
export * from './difference';
export * from './directions';
export { doseOf } from './dose-of';
export {
  DOSE_PARTS,
  type DosePart,
  formatCount,
  formatDose,
  formatPart,
  formatSpan,
} from './format';
export { LIMITS } from './limits';
export * from './model';
export * from './rest-as-gap';
export * from './signs';
export * from './without';
export { type TypedDose, readTyped } from './typed';
export { LONGEST_LINE, parseDose } from './parse';
export { PART_WORDS } from './parts';
export {
  BOUT_MODES,
  type BoutMode,
  type DateValue,
  type Phrase,
  readBeside,
  readDose,
  readToday,
  sharedWhen,
} from './reading';
export {
  barriersOf,
  blocksOf,
  hasMax,
  heldSeconds,
  holdOf,
  isUntilFormFails,
  maxReps,
  repsOf,
  repsOfSet,
  setsOf,
  sidesOf,
  stationsOf,
} from './volume';
