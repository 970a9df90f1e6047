export * from './patient-pack';
export * from './exercise-table';
export * from './pack-days';
export * from './resets';
export * from './programme-file';
export * from './patient-table';
export * from './limits-file';
