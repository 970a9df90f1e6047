export * from './due';
export * from './sessions';
export * from './versions';
export * from './zone';
