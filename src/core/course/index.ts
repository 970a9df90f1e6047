export * from './course';
export * from './evidence';
export * from './happenings';
export * from './measures';
export * from './memory';
export * from './session';
