export * from './assumed';
export * from './paces';
export * from './segment';
export * from './timeline';
export * from './work';
