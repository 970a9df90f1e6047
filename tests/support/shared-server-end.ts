export { end as default } from './shared-server';
