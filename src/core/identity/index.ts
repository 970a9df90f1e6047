export * from './alike';
export * from './reachable';
export * from './search-text';
