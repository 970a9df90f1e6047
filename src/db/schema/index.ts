export * from './log';
export * from './people';
export * from './programme';
