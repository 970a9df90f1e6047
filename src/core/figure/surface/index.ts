export { type Flesh, fleshOf } from './flesh';
export { HEAD_MIDDLE } from './head-surface';
