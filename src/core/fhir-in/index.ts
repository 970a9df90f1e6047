export * from './measured';
export * from './person';
export * from './read';
