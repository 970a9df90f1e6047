export * from './draw';
export * from './film';
export * from './paper';
export * from './shape';
export * from './svg';
