'use client';

import { later } from '../../primitives/later';

/** What the reckoning has to say beside a line. */
export const LateNotes = later(
  () => import('./line-notes').then((made) => made.LineNotes),
  () => null,
);
