import type { ReactNode } from 'react';
import { unreadableIn } from '@/server/problem';
import { UnreadableRecord } from '@/ui/primitives/unreadable-record';

/**
 * A page that says which record it cannot read, instead of failing as a whole. Every other failure
 * goes on to the page of failures.
 *
 * @param words what a patient is told in its place; a clinician is told which record it is
 */
export function legible<Props>(
  page: (props: Props) => ReactNode | Promise<ReactNode>,
  words?: (props: Props) => Promise<string>,
): (props: Props) => Promise<ReactNode> {
  return async function LegiblePage(props) {
    try {
      return await page(props);
    } catch (error) {
      const say = unreadableIn(error);
      if (say === null) throw error;
      return <UnreadableRecord say={words ? await words(props) : say} />;
    }
  };
}
