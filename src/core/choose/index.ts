export * from './order';
export * from './rules';
export * from './suggest';
export * from './warnings';
