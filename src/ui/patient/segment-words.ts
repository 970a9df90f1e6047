import type { PackLine } from '@/core/exchange';
import type { PlayerCue } from '@/core/player';
import type { PlayedSegment } from '@/core/timeline';
import type { Say } from './say';

/** What is done in a segment, in a word or two. */
export function segmentWord(segment: PlayedSegment, line: PackLine, say: Say): string {
  switch (segment.kind) {
    case 'move':
      return say(segment.work === 'moved' && segment.endsRep ? 'word.move' : 'word.moveIn');
    case 'hold':
      if (segment.barrier > 0) return say('word.barrier', { nth: segment.barrier });
      return say(line.mode === 'lain' ? 'word.stay' : 'word.hold');
    case 'change-position':
      return say('word.change-position', { position: say(`position.${line.position}`) });
    case 'get-ready':
    case 'release':
    case 'gap':
    case 'rest':
    case 'change-side':
    case 'next-direction':
    case 'next-angle':
    case 'next-exercise':
      return say(`word.${segment.kind}`);
  }
}

/** Where this goes, in a word or two: "Left side", "to the left"; empty where it has no way. */
export function wayWord(segment: PlayedSegment, line: PackLine, say: Say): string {
  const name = line.directions?.[segment.direction - 1];
  if (name) return say(`dose.direction.${name}`);
  return segment.side ? say(segment.side === 'left' ? 'player.left' : 'player.right') : '';
}

/**
 * What is done on the side that is under way, in full: "stretches the right side: ear towards the
 * left shoulder". While getting ready it is the side that comes first.
 */
export function sideWords(segment: PlayedSegment, line: PackLine): string {
  const side = segment.kind === 'get-ready' ? firstSide(line) : segment.side;
  return side && line.sides ? line.sides[side] : '';
}

function firstSide({ dose: { side } }: PackLine): 'left' | 'right' | null {
  return side === undefined ? null : side === 'right' ? 'right' : 'left';
}

/** "3 of 10": which repetition of its set a held or moved one is; empty for all else, and for an only one. */
function repSpoken(segment: PlayedSegment, segments: readonly PlayedSegment[], say: Say): string {
  if (segment.work === null || segment.rep === 0 || segment.untilFormFails) return '';
  const count = Math.max(
    ...segments.filter((one) => one.endsRep && isOfTheSet(one, segment)).map(({ rep }) => rep),
  );
  return count > 1 ? say('player.rep', { nth: segment.rep, count }) : '';
}

const isOfTheSet = (a: PlayedSegment, b: PlayedSegment) =>
  a.line === b.line && a.round === b.round && a.set === b.set && a.side === b.side;

/**
 * Which repetition, word, way and length: what is spoken, and read out, once when it changes.
 *
 * @param segments of the session, by which repetitions are counted; without them none is named
 * @example // "3 of 10, Hold, Left side, 10 seconds"
 */
export function segmentSpoken(
  segment: PlayedSegment,
  line: PackLine,
  say: Say,
  segments: readonly PlayedSegment[] = [],
): string {
  const inFull = segment.kind === 'change-side' || segment.kind === 'get-ready';
  const way = (inFull && sideWords(segment, line)) || wayWord(segment, line, say);
  const seconds = say('player.seconds', { seconds: Math.round(segment.seconds) });
  // The set-up is said while there is time for it.
  const setUp = segment.kind === 'get-ready' ? (line.setUp ?? []) : [];
  return [
    [repSpoken(segment, segments, say), segmentWord(segment, line, say), way, seconds]
      .filter((part) => part !== '')
      .join(', '),
    ...setUp,
  ].join('. ');
}

export function cueWords(cue: PlayerCue | null, say: Say): string {
  switch (cue?.kind) {
    case undefined:
      return '';
    case 'shoulders':
      return say('cue.shoulders');
    case 'breath':
      return say(`cue.breath.${cue.phase}`, { count: cue.count });
    case 'own':
      return cue.text;
  }
}

/** Where in the exercise this is: direction, angle, set and repetition, as far as there are several. */
export function countWords(...of: Parameters<typeof countParts>): string {
  const { way, count } = countParts(...of);
  return [way, count].filter((words) => words !== '').join(' · ');
}

/** The same in two: the direction where it has a name of its own, and all else. */
export function countParts(
  segment: PlayedSegment,
  segments: readonly PlayedSegment[],
  line: PackLine,
  say: Say,
): { readonly way: string; readonly count: string } {
  if (segment.rep === 0) return { way: '', count: '' };
  const mine = segments.filter(
    (one) => one.line === segment.line && one.round === segment.round && one.endsRep,
  );
  const most = (pick: (one: PlayedSegment) => number) => Math.max(...mine.map(pick));
  const part = (key: 'direction' | 'angle' | 'set', nth: number, count: number) =>
    count > 1 ? say(`player.${key}`, { nth, count }) : '';
  const isNamed = line.directions?.[segment.direction - 1] !== undefined;
  const count = [
    isNamed
      ? ''
      : part(
          'direction',
          segment.direction,
          most((one) => one.direction),
        ),
    part(
      'angle',
      segment.station,
      most((one) => one.station),
    ),
    part(
      'set',
      segment.set,
      most((one) => one.set),
    ),
    segment.untilFormFails
      ? say('player.until', { nth: segment.rep })
      : say('player.rep', {
          nth: segment.rep,
          count: Math.max(...mine.filter((one) => one.set === segment.set).map((one) => one.rep)),
        }),
  ]
    .filter((words) => words !== '')
    .join(' · ');
  return { way: isNamed ? wayWord(segment, line, say) : '', count };
}
