export * from './body';
export * from './describe';
export * from './drawing';
export * from './figure';
export * from './moment';
