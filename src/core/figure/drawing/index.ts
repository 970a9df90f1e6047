export * from './draw';
export * from './film';
export { movementsBetween } from './movement';
export * from './paper';
export * from './sign-icons';
export * from './shape';
export * from './svg';
export { cameraFor, see } from './view';
