export * from './log';
export * from './people';
export * from './programme';
export * from './visit';
export * from './desk';
export * from './teach';
export * from './reminders';
export * from './follow';
