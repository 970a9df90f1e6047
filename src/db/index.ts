export * from './audit';
export { LIST_BOUNDS, SESSION_LIFE } from './bounds';
export * from './clinics';
export * from './desk';
export { prepareDatabase } from './start';
export {
  checkpoint,
  closeDatabase,
  databaseUrl,
  guard,
  migrateDatabase,
  optimizeDatabase,
  type Statement,
  write,
} from './door';
export * from './errors';
export { readEveryRow } from './every-row';
export * from './links';
export * from './looks';
export * from './members';
export * from './patients';
export * from './programmes';
export * from './reminders';
export * from './resets';
export * from './session-events';
export * from './visit';
export * from './follow';
