export * from './limbs';
export * from './logs';
export * from './outlook';
export * from './record';
export * from './strips';
