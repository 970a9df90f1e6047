export * from './local-date';
export * from './range';
export * from './result';
export * from './seconds';
