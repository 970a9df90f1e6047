export * from './adjustable';
export * from './band-curve';
export * from './endurance';
export * from './force-band';
export * from './hold-check';
export * from './one-rep-max';
export * from './schemes';
