import type { DoseSign } from '@/core/dose';
import { SignIcon } from './dose-signs';

const DRAWN: readonly (readonly [
  tones: readonly (readonly [tone: string, d: string])[],
  say: string,
])[] = [
  [
    [['way', 'M3 18C8 6 16 4 27 8M21.500 4.500l5.500 3.500-4 5.500']],
    'moves this way; pale behind it, where it began',
  ],
  [
    [
      ['push', 'M2 8h11v-4l8 8-8 8v-4h-11z'],
      ['push', 'M23 4h2.200v16h-2.200zM27 4h2.200v16h-2.200z'],
    ],
    'pushes without moving; the bars are what resists',
  ],
  [[['working', 'M4 5c8-4 18-2 22 3s-4 14-12 13-16-12-10-16z']], 'works'],
  [
    [['stretched', 'M4 5c8-4 18-2 22 3s-4 14-12 13-16-12-10-16zM5 9h19M6 13h20M9 17h15']],
    'is stretched',
  ],
  [[['plumb', 'M15 2v20']], 'stays where it is: look at the head beside it'],
];

const SIGNS: readonly (readonly [DoseSign['kind'], string])[] = [
  ['hold', 'hold so long'],
  ['repeat', 'so many times'],
  ['sides', 'then the other side'],
  ['breathe', 'breathe: in, hold, out'],
];

/** What the signs of the drawings mean: the same on the desk, the phone and paper. */
export function FigureKey({
  className = 'flex flex-wrap gap-x-6 gap-y-2 text-[0.93em] [&>div]:flex [&>div]:items-center [&>div]:gap-2',
}: {
  className?: string;
}) {
  return (
    <dl className={className} aria-label="What the signs mean">
      {DRAWN.map(([paths, say]) => (
        <div key={say}>
          <dt>
            <svg viewBox="0 0 30 24" className="figure h-6 w-8" aria-hidden="true">
              {paths.map(([tone, d]) => (
                <path key={d} className={tone} d={d} />
              ))}
            </svg>
          </dt>
          <dd>{say}</dd>
        </div>
      ))}
      {SIGNS.map(([kind, say]) => (
        <div key={kind}>
          <dt>
            <SignIcon kind={kind} />
          </dt>
          <dd>{say}</dd>
        </div>
      ))}
    </dl>
  );
}
