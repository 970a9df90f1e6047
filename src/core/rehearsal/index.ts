export * from './kinds';
export * from './rehearse';
