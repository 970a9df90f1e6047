import { type Millimetres, millimetres } from '../units';

/** Horizontal distance of the ear in front of C7, in three positions, millimetres. */
export type HeadOffsets = {
  readonly relaxed: number;
  readonly tall: number;
  readonly chest: number;
};

export type HeldFromBelow =
  | { readonly kind: 'within error'; readonly error: number }
  | {
      readonly kind: 'share';
      /** Corrected by sitting tall, percent of the relaxed offset. */
      readonly byTall: number;
      /** Corrected further by lifting the chest. */
      readonly byChest: number;
      /** Corrected from below in all. */
      readonly total: number;
    };

/** Error of the offset with ruler or photo, millimetres. Common practice, no source. */
export const OFFSET_ERROR_MM = 10;

/**
 * Which share of a forward head is corrected from below: by sitting tall, then by lifting the
 * chest. No share is given when the relaxed offset is within the measuring error, for a share of
 * nothing says nothing. A head that moves forward gives a negative share.
 *
 * @example heldFromBelow({ relaxed: 50, tall: 30, chest: 15 }) // 40 % + 30 % = 70 %
 */
export function heldFromBelow(offsets: HeadOffsets, error = OFFSET_ERROR_MM): HeldFromBelow {
  const { relaxed, tall, chest } = offsets;
  if (Math.abs(relaxed) <= error || relaxed <= 0) return { kind: 'within error', error };
  const share = (corrected: number) => (100 * corrected) / relaxed;
  return {
    kind: 'share',
    byTall: share(relaxed - tall),
    byChest: share(tall - chest),
    total: share(relaxed - chest),
  };
}

/** From this share on, percent, the trunk leads the programme. Common practice, no source. */
export const TRUNK_LEADS_FROM = 50;

/** What is measured of a patient lying on a neck wedge, millimetres. */
export type WedgeHeights = {
  /** Floor to the surface the head rests on. */
  readonly wedge: number;
  /** That surface to the ear. */
  readonly ear: number;
  /** Floor to the shoulder point, without anything under the trunk. */
  readonly shoulder: number;
};

export type WedgeFit = {
  readonly earAt: Millimetres;
  readonly shoulderAt: Millimetres;
  /** How thick the folded blanket must be, and under what. */
  readonly thickness: Millimetres;
  readonly under: 'trunk' | 'head' | 'nothing';
};

/** A difference that a folded blanket cannot make, millimetres. Common practice, no source. */
const LEVEL_WITHIN_MM = 5;

/**
 * The thickness under the trunk that brings ear and shoulder level on a wedge: what the ear is
 * higher than the shoulder. Where the shoulder is higher the head wants the pad instead.
 *
 * @example wedgeFit({ wedge: 90, ear: 95, shoulder: 120 }) // 65 mm under the trunk
 */
export function wedgeFit({ wedge, ear, shoulder }: WedgeHeights): WedgeFit {
  const higher = wedge + ear - shoulder;
  const under = Math.abs(higher) < LEVEL_WITHIN_MM ? 'nothing' : higher > 0 ? 'trunk' : 'head';
  return {
    earAt: millimetres(wedge + ear),
    shoulderAt: millimetres(shoulder),
    thickness: millimetres(under === 'nothing' ? 0 : Math.abs(higher)),
    under,
  };
}

/**
 * The pad for wall presses is as thick as the wall gap, rounded to what can be folded: thicker
 * pushes the head forward and trains the fault, so it is rounded down.
 *
 * @param gapMm back of the head to the wall, millimetres
 * @returns whole half-centimetres, in millimetres
 * @example padThickness(47) // 45
 */
export function padThickness(gapMm: number): Millimetres {
  return millimetres(Math.floor(Math.max(0, gapMm) / 5) * 5);
}
