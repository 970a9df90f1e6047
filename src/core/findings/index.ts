export * from './facts';
export * from './rules';
