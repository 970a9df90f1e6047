export * from './course-of';
export * from './got-on';
export * from './limbs';
export * from './of-episode';
export * from './outlook';
export * from './pain-after';
export * from './record';
export * from './strips';
