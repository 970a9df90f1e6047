export * from './date-in-words';
export * from './local-date';
export * from './measure-units';
export * from './range';
export * from './result';
export * from './seconds';
export * from './frozen';
export * from './percent';
export type * from './ids';
