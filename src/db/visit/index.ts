export * from './entries';
export * from './findings';
export * from './measurements';
export * from './photos';
export type { Placed } from './place';
export * from './screenings';
export * from './standing';
export * from './teach';
export * from './visits';
