import type { RouteRule } from './route-rule';
import { CLINIC_ROUTES } from './routes-of-clinic';
import { DESK_ROUTES } from './routes-of-desk';
import { FILE_ROUTES } from './routes-of-file';
import { PHONE_ROUTES } from './routes-of-phone';

/** Every route, in the order in which one visit after another would ask them: some build on others. */
export const ROUTES: Readonly<Record<string, RouteRule>> = {
  ...CLINIC_ROUTES,
  ...FILE_ROUTES,
  ...DESK_ROUTES,
  ...PHONE_ROUTES,
};
