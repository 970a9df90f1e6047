'use client';

import type { Delivery } from './device/outbox';
import { useSay } from './say';

/** Where everything that was done is: on this phone, or at the clinic. */
export function SavedLine({
  delivery,
  lasts,
  full,
  cleared,
  clinic,
}: {
  delivery: Delivery | null;
  lasts: boolean;
  full: boolean;
  cleared: boolean;
  clinic: string;
}) {
  const say = useSay();
  return (
    <p role="status" className="text-soft" data-testid="saved">
      {delivery === null && say('saved.looking')}
      {delivery?.state === 'at the clinic' && say('saved.atClinic', { clinic })}
      {delivery?.state === 'saved here' && !full && say('saved.here')}
      {delivery?.state === 'link ended' && say('saved.linkEnded')}
      {delivery?.state === 'refused' && say('saved.refused')}
      {!lasts && ` ${say('saved.lost')}`}
      {full && ` ${say('saved.full')}`}
      {cleared && ` ${say('saved.cleared', { clinic })}`}
    </p>
  );
}
