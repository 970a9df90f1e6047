export * from './history';
export * from './day-fold';
export * from './day-report';
export * from './progress';
export * from './line-log';
export * from './last-counted';
export * from './standing-events';
export * from './told-day';
