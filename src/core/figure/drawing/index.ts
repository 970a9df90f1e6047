export * from './draw';
export * from './film';
export * from './shape';
export * from './svg';
