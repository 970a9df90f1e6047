export * from './day';
export * from './line-share';
export * from './session-event';
export * from './events-post';
