export * from './apply';
export { HOLD_LADDERS } from './hold-ladders';
export { hasScheme } from './scheme';
export * from './school';
export * from './settings';
export * from './start';
export { DESCENDING_LONGEST_S, SCHOOLS } from './schools';
