export * from './due';
export * from './ribbon';
export * from './session-label';
export * from './sessions';
export * from './versions';
export * from './calendar-days';
export * from './zone';
