export * from './day';
export * from './line-share';
export * from './session-event';
export * from './set-count';
export * from './events-post';
