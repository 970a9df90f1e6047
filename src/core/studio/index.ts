export * from './begin';
export * from './handles';
export * from './limbs';
export * from './range';
export * from './sheet';
export * from './sliders';
export * from './studio';
export * from './things';
