export * from './is-open';
export * from './open-spans';
export * from './open-times';
