export * from './facts';
export * from './row';
