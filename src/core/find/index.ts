export * from './exercise-finder';
