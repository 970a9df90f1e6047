export * from './completeness';
export * from './felt';
export * from './run-sheet';
export * from './summary';
export * from './taught';
export * from './visit-note';
