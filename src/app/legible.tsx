import type { ReactNode } from 'react';
import { unreadableIn } from '@/server/problem';
import { UnreadableRecord } from '@/ui/primitives/unreadable-record';

/**
 * A page that says which record it cannot read, instead of failing as a whole. Every other failure
 * goes on to the page of failures.
 */
export function legible<Props>(
  page: (props: Props) => ReactNode | Promise<ReactNode>,
): (props: Props) => Promise<ReactNode> {
  return async function LegiblePage(props) {
    try {
      return await page(props);
    } catch (error) {
      const say = unreadableIn(error);
      if (say === null) throw error;
      return <UnreadableRecord say={say} />;
    }
  };
}
