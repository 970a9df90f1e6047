export * from './beside';
export * from './find';
export * from './fit';
export * from './planned';
export type * from './ready';
export * from './totals';
