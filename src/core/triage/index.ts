export * from './limits';
export * from './rules';
