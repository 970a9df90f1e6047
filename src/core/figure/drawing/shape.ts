/** How a shape is painted; the sheet says with which colours. */
export type Tone =
  | 'ground'
  | 'thing'
  | 'thing-soft'
  | 'thing-line'
  | 'cloth'
  | 'shorts'
  | 'shorts-far'
  | 'hair'
  | 'inner'
  | 'brow'
  | 'eye'
  | 'skin'
  | 'skin-far'
  | 'mark'
  | 'working'
  | 'stretched'
  | 'push'
  | 'way'
  | 'plumb'
  | 'halo'
  | 'before';

/** A closed or open line in SVG's path notation, in centimetres, y downward. */
export type Shape = {
  readonly tone: Tone;
  readonly d: string;
  /** How near it is to the viewer. */
  readonly near: number;
  /** Between which places it lies, left, top, right and bottom, where that is worth knowing. */
  readonly within?: readonly [left: number, top: number, right: number, bottom: number];
};

/** A picture of one moment. */
export type Drawing = {
  /** Left, top, width and height shown, in cm. */
  readonly box: readonly [number, number, number, number];
  /** Centimetres that look like one of a close-up: how broad its lines are. */
  readonly unit: number;
  /** In the order they are painted. */
  readonly shapes: readonly Shape[];
  /** The whole body, small, in a place of a close-up; lines as broad as in a picture of its own. */
  readonly inset: { readonly place: Drawing['box']; readonly of: Drawing } | null;
};
