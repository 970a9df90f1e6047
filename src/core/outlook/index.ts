export * from './course-of';
export * from './got-on';
export * from './limbs';
export * from './outlook';
export * from './record';
export * from './strips';
