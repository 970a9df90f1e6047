import type { Identity } from './world';

/** Who may ask a route, and what a valid question is. */
export type RouteRule = {
  /** Who may; everybody else must be refused. */
  readonly may: readonly Identity[];
  /** A valid record, aimed at the first clinic's patient. */
  readonly body: () => unknown;
  readonly method?: 'GET';
  /** What stands in the address. */
  readonly query?: () => string;
  /** A file instead of a record. */
  readonly file?: () => Buffer;
  /** Its answer goes on until whoever asked leaves. */
  readonly endless?: true;
  /** May be called by anyone; refused only for a wrong secret. */
  readonly open?: true;
  /** Allowed, but a second clinic's lead acts in a clinic of their own. */
  readonly ownClinicOnly?: true;
};
