export * from './read-pasted';
