export { type Flesh, fleshOf } from './flesh';
export { bodyRings } from './body-rings';
export { HEAD_MIDDLE } from './head-surface';
