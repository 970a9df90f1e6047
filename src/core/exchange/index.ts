export * from './patient-pack';
export * from './exercise-table';
