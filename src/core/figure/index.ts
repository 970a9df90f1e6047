export * from './body';
export * from './describe';
export * from './drawing';
export * from './figure';
export { mirrorFigure } from './mirror-figure';
export * from './moment';
export * from './reading';
