export * from './api-keys';
export * from './at-hand';
export * from './audit';
export { LIST_BOUNDS, SESSION_LIFE } from './bounds';
export * from './clinics';
export * from './corrections';
export * from './covers';
export * from './desk';
export * from './devices';
export * from './factors';
export { fileOfAddress } from './file-address';
export { prepareDatabase } from './start';
export {
  allOf,
  checkpoint,
  closeDatabase,
  type Condition,
  databaseKey,
  databaseUrl,
  guard,
  migrateDatabase,
  optimizeDatabase,
  type Statement,
  write,
} from './door';
export { roomInTurn } from './turn';
export * from './erase';
export * from './errors';
export { cutJournal, purgeDatabase } from './purge';
export { readEveryRow } from './every-row';
export * from './language-checks';
export * from './leases';
export * from './links';
export * from './looks';
export * from './mail';
export * from './members';
export * from './own-drafts';
export * from './patients';
export * from './people';
export * from './programmes';
export * from './record';
export * from './push';
export * from './reminders';
export * from './resets';
export * from './sees';
export * from './days-read';
export * from './session-events';
export * from './shares';
export * from './visit';
export * from './visit-calendars';
export * from './follow';
