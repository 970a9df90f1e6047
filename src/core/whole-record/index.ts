export * from './whole-record';
export * from './page';
export * from './tables';
export * from './texts';
export * from './words';
