'use client';

import { shortDay } from '@/core/units';
import { sayToClinician } from '@/catalogue';
import type { SetUp } from '@/core/records';
import { type SetUpOffer, readSetUp } from '@/core/set-up';

const words = ({ fact }: SetUp) => sayToClinician(readSetUp(fact));

/** What a set-up stands on, for the clinician. */
function source({ from }: SetUp): string {
  switch (from.kind) {
    case 'measurement':
      return `measured ${shortDay(from.on)}`;
    case 'finding':
      return `worked at the re-test, ${shortDay(from.on)}`;
    case 'dose':
      return 'from the dose';
  }
}

/** A line's measured set-up: what goes home with it, and what the measures offer to it. */
export function LineSetUp({
  name,
  taken,
  offers,
  onTake,
  onRemove,
}: {
  name: string;
  taken: readonly SetUp[];
  offers: readonly SetUpOffer[];
  onTake: (offers: readonly SetUpOffer[]) => void;
  onRemove: (setUp: SetUp) => void;
}) {
  if (taken.length + offers.length === 0) return null;
  return (
    <ul aria-label={`Set-up of ${name}`} className="grid gap-1 pt-1 text-small">
      {taken.map((setUp) => (
        <li key={words(setUp)} className="flex flex-wrap items-baseline gap-x-3">
          <span className="border-l-2 border-action pl-2" dir="auto">
            {words(setUp)} <span className="text-soft">({source(setUp)})</span>
          </span>
          <button
            type="button"
            className="min-h-6 text-small text-action hover:underline"
            aria-label={`Take “${words(setUp)}” off ${name}`}
            onClick={() => onRemove(setUp)}
          >
            Take off
          </button>
        </li>
      ))}
      {offers.map((offer) => (
        <li key={words(offer.setUp)} className="flex flex-wrap items-baseline gap-x-3">
          <span className="border-l-2 border-lit pl-2" dir="auto">
            {offer.replaces ? 'Measured anew: ' : 'Measured: '}
            {words(offer.setUp)}{' '}
            <span className="text-soft">
              ({source(offer.setUp)}
              {offer.replaces && `; the line says: ${words(offer.replaces)}`})
            </span>
          </span>
          <button
            type="button"
            className="min-h-6 text-small text-action hover:underline"
            aria-label={`Send “${words(offer.setUp)}” home with ${name}`}
            onClick={() => onTake([offer])}
          >
            {offer.replaces ? 'Change' : 'Send it home'}
          </button>
        </li>
      ))}
    </ul>
  );
}
