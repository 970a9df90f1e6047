'use client';

import { laterWithPage, missing } from '../../primitives/later';

const AGAIN = 'What stands here can be written and sent; load the page anew to see';

/** What is noted beside a line makes it higher: it comes no later than what stands below the lines. */
const withNotes = () => import('../row/line-notes').catch(() => undefined);

/** What is to be said of the programme. What keeps it from being sent is said beside its button all the same. */
export const Checks = laterWithPage(
  () =>
    Promise.all([import('./reckoned-checks'), withNotes()]).then(([made]) => made.ReckonedChecks),
  missing(`The checks did not come. ${AGAIN} them.`),
);

/** What the programme takes of a day, and where it lies in it. */
export const DeskDay = laterWithPage(
  () => import('./reckoned-day').then((made) => made.ReckonedDay),
  missing(`The time of the day did not come. ${AGAIN} it.`),
);

/** What comes, week by week, and the versions before. */
export const Ahead = laterWithPage(
  () => import('./reckoned-ahead').then((made) => made.ReckonedAhead),
  missing(`The weeks ahead did not come. ${AGAIN} them.`),
);
