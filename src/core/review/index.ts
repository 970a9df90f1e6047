export * from './keep-going';
export * from './letter';
export * from './plan';
