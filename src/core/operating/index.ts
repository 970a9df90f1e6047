export * from './backup-state';
export * from './first-steps';
