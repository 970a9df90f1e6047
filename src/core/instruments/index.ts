export * from './reading';
export * from './simulated';
export * from './tilt';
export * from './trial';
