export * from './limit-words';
export * from './limits';
export * from './morning-row';
export * from './rules';
