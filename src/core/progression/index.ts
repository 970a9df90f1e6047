export * from './apply';
export * from './compare';
export * from './disagreements';
export * from './hold-ladder';
export * from './schools';
export * from './settings';
