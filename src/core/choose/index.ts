export * from './circumstances';
export * from './finding';
export * from './ladder';
export * from './order';
export * from './rules';
export { onSide } from './side-for';
export * from './suggest';
export * from './warnings';
