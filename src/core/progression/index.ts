export * from './apply';
export * from './compare';
export * from './disagreements';
export { doseOf } from './dose-of';
export { EASED_OFF, limbAlarm } from './danger';
export * from './facts';
export * from './how-many';
export * from './live';
export * from './move';
export * from './next-step';
export * from './proposals';
export * from './schools';
export * from './settings';
export * from './shown-proposals';
export * from './start';
export {
  HOLD_LADDERS,
  HOLD_STEP,
  ladderFor,
  longestStep,
  nextHold,
  stationsFor,
} from './steps/holds';
export { takeOff, withDayBetween } from './steps/take-off';
