export * from './averaged';
export * from './looks';
export * from './shapes';
export * from './seam';
