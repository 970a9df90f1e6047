export * from './alike';
export * from './search-text';
