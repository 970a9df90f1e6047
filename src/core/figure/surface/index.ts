export { type Flesh, fleshOf } from './flesh';
