export * from './exercise';
export * from './substitute';
