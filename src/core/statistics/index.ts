export * from './autocorrelation';
export type * from './chance';
export * from './median';
export * from './non-overlap';
export * from './normal';
export * from './pairwise-slopes';
export * from './share-interval';
export * from './trend-test';
