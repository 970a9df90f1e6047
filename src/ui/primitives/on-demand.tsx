'use client';

import { type ComponentType, useCallback, useEffect, useState } from 'react';
import { toast } from './toast';
import { whenIdle } from './when-idle';

/** A part of a page whose scripts come later than the page's. */
export type Part<P> = {
  /** The part, fetched once; a fetch that failed is tried again by the next who asks. */
  readonly fetch: () => Promise<ComponentType<P>>;
  /** Null until it has come. */
  readonly there: () => ComponentType<P> | null;
};

export function part<P>(load: () => Promise<ComponentType<P>>): Part<P> {
  let there: ComponentType<P> | null = null;
  let coming: Promise<ComponentType<P>> | null = null;
  const fetch = async () => {
    try {
      there = await (coming ??= load());
      return there;
    } catch (error) {
      coming = null;
      throw error;
    }
  };
  return { fetch, there: () => there };
}

/**
 * The part once it is there: at once when it is wanted, else while the page is at rest, so that it is
 * mostly there before anybody asks.
 *
 * @param onMissing what happens when it is wanted and cannot be fetched; another one is another try
 */
export function usePart<P>(
  { fetch, there }: Part<P>,
  wanted: boolean,
  onMissing: () => void,
): ComponentType<P> | null {
  const [shown, setShown] = useState(there);
  useEffect(() => {
    if (shown) return undefined;
    let isLeft = false;
    const take = () =>
      fetch().then((made) => {
        if (!isLeft) setShown(() => made);
      });
    if (wanted) {
      take().catch(() => {
        if (!isLeft) onMissing();
      });
    }
    const stop = wanted ? () => undefined : whenIdle(() => void take().catch(() => undefined));
    return () => {
      isLeft = true;
      stop();
    };
  }, [shown, wanted, fetch, onMissing]);
  return shown;
}

/** What is said where a part was asked for and did not come. */
export function sayMissing(): void {
  toast.error('This part of the page did not come. Look at the connection and try again.');
}

type Opened = { readonly open: boolean; readonly onClose: () => void };

/**
 * A dialog whose scripts come when it is first opened, or before while the page is at rest. Once there it
 * stays, closed or open, so that what was typed in it stays.
 */
export function onDemand<P extends Opened>(load: () => Promise<ComponentType<P>>) {
  const made = part(load);
  return function OnDemand(props: P) {
    const { open, onClose } = props;
    const Shown = usePart(
      made,
      open,
      useCallback(() => {
        sayMissing();
        onClose();
      }, [onClose]),
    );
    return Shown && <Shown {...props} />;
  };
}
