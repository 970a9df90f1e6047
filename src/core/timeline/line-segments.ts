import {
  type BoutMode,
  type Dose,
  barriersOf,
  directionsOf,
  isUntilFormFails,
  repsOfSet,
  setsOf,
  stationsOf,
} from '../dose';
import type { Range, Seconds } from '../units';
import { seconds } from '../units';
import type { PaceName } from './paces';
import type { Length, Place, Segment, SegmentKind } from './segment';

type Side = Place['side'];
type Spot = Omit<Place, 'line' | 'round'>;
type LineSegment = Omit<Segment, 'line' | 'round'>;

const NOWHERE: Spot = { side: null, direction: 0, station: 0, set: 0, rep: 0, barrier: 0 };

/**
 * The ordered segments of one dose, from the first repetition to the last, without getting ready.
 * Sides are outermost, then directions, angles, sets, repetitions and barriers. A pause stands
 * before what follows it, so that dropping what is beyond the least drops its pause too.
 *
 * @param lastMax what was counted the last time in a set done until form fails; null when nothing was
 */
export function lineSegments(
  dose: Dose,
  mode: BoutMode,
  lastMax: number | null = null,
): LineSegment[] {
  const segments: LineSegment[] = [];
  let previous: Spot | null = null;
  for (const { spot, beyond } of repetitions(dose, lastMax)) {
    if (previous !== null) segments.push(pauseBetween(previous, spot, dose, mode, beyond));
    segments.push(...repetition(spot, dose, mode, beyond));
    previous = spot;
  }
  return segments;
}

type Beyond = Pick<Segment, 'beyondLeast' | 'untilFormFails'>;

function* repetitions(
  dose: Dose,
  lastMax: number | null,
): Generator<{ spot: Spot; beyond: Beyond }> {
  const blockSides: Side[] = dose.side === 'each' ? ['left', 'right'] : [oneSide(dose)];
  const repSides: Side[] = dose.side === 'alternating' ? ['left', 'right'] : [];
  const sets = setsOf(dose.head);
  for (const blockSide of blockSides) {
    for (let direction = 1; direction <= directionsOf(dose); direction += 1) {
      for (let station = 1; station <= stationsOf(dose); station += 1) {
        for (let set = 1; set <= sets.most; set += 1) {
          const reps = repsOfSet(dose.head, set - 1, lastMax);
          const untilFormFails = isUntilFormFails(dose.head, set - 1);
          for (let rep = 1; rep <= reps.most; rep += 1) {
            const beyond = { beyondLeast: set > sets.least || rep > reps.least, untilFormFails };
            for (const side of repSides.length > 0 ? repSides : [blockSide]) {
              yield { spot: { ...NOWHERE, side, direction, station, set, rep }, beyond };
            }
          }
        }
      }
    }
  }
}

function oneSide(dose: Dose): Side {
  return dose.side === 'left' || dose.side === 'right' ? dose.side : null;
}

/**
 * What stands between two repetitions. Between repetitions the written gap, between blocks the
 * written rest (else the gap); a change of side, direction or angle takes at least its pace.
 */
function pauseBetween(
  before: Spot,
  after: Spot,
  dose: Dose,
  mode: BoutMode,
  beyond: Beyond,
): LineSegment {
  const change = changeBetween(before, after);
  const written =
    change === 'rep' || (change === 'side' && dose.side === 'alternating')
      ? dose.gap
      : (dose.rest ?? dose.gap);
  const replacesPace = change === 'rep' || (change === 'set' && dose.rest !== undefined);
  const pace = paceOfChange(change, dose, mode);
  const length: Length = written ? (replacesPace ? { written } : { written, pace }) : { pace };
  const kind = kindOfChange(change);
  return { ...after, ...beyond, kind, length, work: null, endsRep: false };
}

type Change = 'side' | 'direction' | 'angle' | 'set' | 'rep';

function changeBetween(before: Spot, after: Spot): Change {
  if (before.side !== after.side) return 'side';
  if (before.direction !== after.direction) return 'direction';
  if (before.station !== after.station) return 'angle';
  return before.set === after.set ? 'rep' : 'set';
}

function paceOfChange(change: Change, dose: Dose, mode: BoutMode): PaceName {
  switch (change) {
    case 'side':
      return dose.side === 'alternating' ? 'alternate' : 'changeSide';
    case 'direction':
    case 'angle':
      return 'changeDirection';
    case 'set':
      return 'rest';
    case 'rep':
      return isHeld(dose, mode) ? 'gapAfterHold' : 'gapAfterMove';
  }
}

function kindOfChange(change: Change): SegmentKind {
  switch (change) {
    case 'side':
      return 'change-side';
    case 'direction':
      return 'next-direction';
    case 'angle':
      return 'next-angle';
    case 'set':
      return 'rest';
    case 'rep':
      return 'gap';
  }
}

function isHeld(dose: Dose, mode: BoutMode): boolean {
  return dose.hold !== undefined || (dose.head.kind === 'bouts' && mode !== 'moved');
}

function repetition(spot: Spot, dose: Dose, mode: BoutMode, beyond: Beyond): LineSegment[] {
  const base = { ...spot, ...beyond, work: null, endsRep: false };
  const bout = dose.head.kind === 'bouts' ? dose.head.span : null;
  const hold = dose.hold ?? (bout && mode !== 'moved' ? bout : null);
  if (hold === null) {
    const length = bout ? { written: bout } : movementOf(dose);
    return [{ ...base, kind: 'move', length, work: 'moved', endsRep: true }];
  }
  const holds: LineSegment[] = Array.from({ length: barriersOf(dose) }, (_, index) => ({
    ...base,
    kind: 'hold',
    barrier: dose.stations?.kind === 'barriers' ? index + 1 : 0,
    length: { written: hold },
    work: 'held',
  }));
  if (bout && mode === 'lain') return endWithRep(holds);
  const written = dose.tempo?.kind === 'move' ? half(dose.tempo.seconds) : undefined;
  const slow = dose.tempo?.kind === 'slow';
  const half1: Length = written
    ? { written }
    : slow
      ? { pace: 'slowRep', paceShare: 0.5 }
      : { pace: 'moveIn' };
  const half2: Length = written
    ? { written }
    : slow
      ? { pace: 'slowRep', paceShare: 0.5 }
      : { pace: 'release' };
  // A written movement is prescribed work; getting into a hold at one's own pace is not.
  const work = written ? 'moved' : null;
  return [
    { ...base, kind: 'move', length: half1, work },
    ...holds,
    { ...base, kind: 'release', length: half2, work, endsRep: true },
  ];
}

function endWithRep(segments: LineSegment[]): LineSegment[] {
  return segments.map((segment, index) => ({ ...segment, endsRep: index === segments.length - 1 }));
}

function half(range: Range<Seconds>): Range<Seconds> {
  return { least: seconds(range.least / 2), most: seconds(range.most / 2) };
}

/** One movement out and back: the written tempo, else the breath, else a pace. */
function movementOf(dose: Dose): Length {
  if (dose.tempo?.kind === 'move') return { written: dose.tempo.seconds };
  if (dose.breath) {
    const breath = seconds(dose.breath.in + dose.breath.hold + dose.breath.out);
    return { written: { least: breath, most: breath } };
  }
  return dose.tempo?.kind === 'slow' ? { pace: 'slowRep' } : { pace: 'moveRep' };
}
