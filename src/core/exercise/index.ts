export * from './exercise';
export * from './flags';
export * from './substitute';
