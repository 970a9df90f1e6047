export * from './answers';
export * from './averaged';
export * from './looks';
export type * from './model';
export * from './seam';
export * from './shapes';
