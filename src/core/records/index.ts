export * from './patient';
export * from './people';
export * from './programme';
export * from './session-events';
export { recordId } from './words';
