export * from './changes';
export * from './evidence';
export * from './letters';
export * from './newest';
export * from './proposals';
export * from './triage';
