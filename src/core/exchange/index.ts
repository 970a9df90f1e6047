export * from './patient-pack';
export * from './exercise-table';
export * from './events-post';
