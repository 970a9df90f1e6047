'use client';

import { later, missing } from '../primitives/later';

/** What the logs propose, folded away above the desk. */
export const Proposed = later(
  () => import('../follow/proposals-panel').then((made) => made.ProposalsPanel),
  missing('What the logs propose did not come: load the page anew.'),
);
