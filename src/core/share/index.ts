export * from './clock';
export * from './count';
export * from './standing';
export * from './message';
