export * from './file';
export * from './read';
export * from './tables';
export * from './write';
