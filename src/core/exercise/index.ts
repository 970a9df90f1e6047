export * from './exercise';
export * from './filter';
export * from './flags';
export * from './substitute';
