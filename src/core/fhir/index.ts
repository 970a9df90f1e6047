export * from './bundle';
export * from './documents';
export * from './observations';
export * from './people';
export * from './plan';
export * from './sessions';
export * from './capability';
