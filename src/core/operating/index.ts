export * from './backup-state';
