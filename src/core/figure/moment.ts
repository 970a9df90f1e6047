import type { DirectionName } from '../dose';
import type { PlayedSegment } from '../timeline';
import { roundEnd } from './drawing';
import type { Figure } from './figure';

/** How far along its path a figure is, and which way round it is drawn. */
export type Moment = { readonly along: number; readonly side: 'right' | 'left' };

/** Starts and ends gently, as a body does; 0 at 0, 1 at 1. */
export function ease(share: number): number {
  const s = Math.min(1, Math.max(0, share));
  return s * s * (3 - 2 * s);
}

/**
 * What a figure shows at one moment of a session, from the very segment that is played: it moves
 * while the dose moves, stands while it holds, and goes back while it lets go.
 *
 * @param segment the segment under way
 * @param elapsed seconds of it that have passed
 * @param names the dose's directions by name, in its order
 * @param still shows where each movement leads instead of the movement (reduced motion)
 */
export function momentOf(
  figure: Figure,
  segment: Pick<
    PlayedSegment,
    'kind' | 'seconds' | 'side' | 'direction' | 'station' | 'barrier' | 'endsRep'
  >,
  elapsed: number,
  still = false,
  names: readonly DirectionName[] = [],
): Moment {
  const stage = stageOf(figure, segment, names);
  const side = stage?.side ?? segment.side ?? 'right';
  const along = (pose: number) => pose / (figure.poses.length - 1);
  const end = stage ? along(stage.pose) : 1;
  const begin = stage?.from === undefined ? null : along(stage.from);
  const share = segment.seconds > 0 ? elapsed / segment.seconds : 1;
  return {
    side,
    along: alongOf(figure, segment, share, { begin, end, staged: stage !== null, still }),
  };
}

type Way = {
  /** Where a stage that is gone through begins; null for one that is a place. */
  readonly begin: number | null;
  readonly end: number;
  readonly staged: boolean;
  readonly still: boolean;
};

function alongOf(
  figure: Figure,
  { kind, endsRep }: Pick<PlayedSegment, 'kind' | 'endsRep'>,
  share: number,
  { begin, end, staged, still }: Way,
): number {
  // A place is held for as long as its direction, angle or barrier lasts.
  if (staged && begin === null) return end;
  // A whole repetition goes there and back; one that leads into a hold only goes there.
  if (begin === null && kind === 'move' && endsRep) return thereAndBack(figure, share, still);
  const from = begin ?? 0;
  return from + (end - from) * wayThrough(kind, endsRep, share, still);
}

/** How far a movement is from its beginning, 0–1. */
function wayThrough(
  kind: PlayedSegment['kind'],
  endsRep: boolean,
  share: number,
  still: boolean,
): number {
  switch (kind) {
    case 'hold':
      return 1;
    case 'move':
      if (endsRep && still) return share < 0.5 ? 1 : 0;
      if (endsRep) return ease(share < 0.5 ? share * 2 : 2 - share * 2);
      return still ? 1 : ease(share);
    case 'release':
      return still ? 0 : ease(1 - share);
    case 'get-ready':
    case 'gap':
    case 'rest':
    case 'change-side':
    case 'next-direction':
    case 'next-angle':
    case 'change-position':
    case 'next-exercise':
      return 0;
  }
}

function thereAndBack(figure: Figure, share: number, still: boolean): number {
  const last = roundEnd(figure);
  if (still) return share < 0.5 ? last / 2 : 0;
  if (figure.path === 'round') return Math.min(1, Math.max(0, share)) * last;
  return ease(share < 0.5 ? share * 2 : 2 - share * 2);
}

function stageOf(
  { stages }: Figure,
  {
    side,
    direction,
    station,
    barrier,
  }: Pick<PlayedSegment, 'side' | 'direction' | 'station' | 'barrier'>,
  names: readonly DirectionName[],
) {
  if (!stages) return null;
  const name = names[direction - 1];
  const named = stages.by === 'direction' && name ? stages.at.find(({ to }) => to === name) : null;
  if (named) return named;
  // A dose on one side, of an exercise that also goes forward and back.
  if (stages.by === 'direction' && names.length === 0 && side) {
    const sided = stages.at.find(({ to }) => to === side);
    if (sided) return sided;
  }
  const nth = { direction, station, barrier }[stages.by];
  return stages.at[Math.max(0, nth - 1) % stages.at.length] ?? stages.at[0];
}
