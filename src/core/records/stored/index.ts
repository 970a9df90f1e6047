export * from './day';
export * from './evidence';
export * from './letter';
export * from './measurement';
export * from './morning';
export * from './programme';
export * from './screening';
