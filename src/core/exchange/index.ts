export * from './patient-pack';
