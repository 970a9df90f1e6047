export * from './file';
export * from './pages';
export * from './read';
export * from './tables';
export * from './write';
