export * from './about';
export * from './facts';
export * from './read-old';
export * from './rules';
export * from './together';
