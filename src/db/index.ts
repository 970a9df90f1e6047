export * from './audit';
export * from './clinics';
export { closeDatabase, databaseUrl, guard, migrateDatabase, type Statement, write } from './door';
export * from './errors';
export * from './links';
export * from './members';
export * from './patients';
export * from './programmes';
export * from './session-events';
