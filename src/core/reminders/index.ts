export * from './plan';
export * from './ignored-days';
