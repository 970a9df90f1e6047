export * from './course';
export * from './limb';
export * from './reading';
export * from './seams';
export * from './doing';
export * from './followed';
export * from './helping';
export * from './strip';
