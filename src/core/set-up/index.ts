export * from './facts';
export * from './offers';
export * from './words';
