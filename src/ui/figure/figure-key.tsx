import type { DoseSign } from '@/core/dose';
import { SignIcon } from './dose-signs';

type DrawnSign = 'way' | 'push' | 'working' | 'stretched' | 'plumb' | 'warm' | 'cold';
export type KeySign = DrawnSign | DoseSign['kind'];

/** What is drawn on a body, in a box of 30 by 24. */
const DRAWN: Readonly<Record<DrawnSign, readonly string[]>> = {
  way: ['M3 18C8 6 16 4 27 8M21.500 4.500l5.500 3.500-4 5.500'],
  push: ['M2 8h11v-4l8 8-8 8v-4h-11z', 'M23 4h2.200v16h-2.200zM27 4h2.200v16h-2.200z'],
  working: ['M4 5c8-4 18-2 22 3s-4 14-12 13-16-12-10-16z'],
  stretched: ['M4 5c8-4 18-2 22 3s-4 14-12 13-16-12-10-16zM5 9h19M6 13h20M9 17h15'],
  plumb: ['M15 2v20'],
  warm: ['M7 21c4-6-4-11 0-18M15 21c4-6-4-11 0-18M23 21c4-6-4-11 0-18'],
  cold: ['M15 3v18M7.200 7.500l15.600 9M22.800 7.500l-15.600 9'],
};
/** How it is painted, where it has not a tone of its own name. */
const PAINTED: Partial<Record<DrawnSign, 'thing-line'>> = {
  warm: 'thing-line',
  cold: 'thing-line',
};
const BESIDE = ['hold', 'repeat', 'sides', 'breathe'] as const;

/**
 * What the signs of the drawings mean: the same on the desk, the phone and paper.
 *
 * @param say the words of a sign, or of the whole key for null
 */
export function FigureKey({
  className = 'flex flex-wrap gap-x-6 gap-y-2 text-small [&>div]:flex [&>div]:items-center [&>div]:gap-2',
  say,
}: {
  className?: string;
  say: (sign: KeySign | null) => string;
}) {
  return (
    <dl className={className} aria-label={say(null)}>
      {(Object.keys(DRAWN) as DrawnSign[]).map((sign) => (
        <div key={sign}>
          <dt>
            <svg viewBox="0 0 30 24" className="figure h-6 w-8" aria-hidden="true">
              {DRAWN[sign].map((d) => (
                <path key={d} className={PAINTED[sign] ?? sign} d={d} />
              ))}
            </svg>
          </dt>
          <dd>{say(sign)}</dd>
        </div>
      ))}
      {BESIDE.map((sign) => (
        <div key={sign}>
          <dt>
            <SignIcon kind={sign} />
          </dt>
          <dd>{say(sign)}</dd>
        </div>
      ))}
    </dl>
  );
}
