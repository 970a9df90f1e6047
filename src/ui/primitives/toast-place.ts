/** Where on the screen something is, in CSS pixels from its upper left corner. */
export type Rect = {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
};

/** Where what is said for a moment may stand, the usual place first. */
export const TOAST_PLACES = [
  'bottom-left',
  'bottom-right',
  'bottom-center',
  'top-right',
  'top-center',
  'top-left',
] as const;
export type ToastPlace = (typeof TOAST_PLACES)[number];

/** Its measures, as its library draws it: width on a desk, room for two lines, and its distance from the edges. */
const WIDTH = 356;
const HEIGHT = 76;
const EDGE = 24;
/** A screen that is no wider has it across its whole width, so near to the edges. */
const NARROW = 600;
const NARROW_EDGE = 16;

type View = { readonly width: number; readonly height: number };

/** The room it takes in a place. @example roomOf('bottom-left', { width: 1280, height: 800 }).top // 700 */
export function roomOf(place: ToastPlace, { width, height }: View): Rect {
  const [up, side] = place.split('-');
  const isNarrow = width <= NARROW;
  const edge = isNarrow ? NARROW_EDGE : EDGE;
  const wide = isNarrow ? width - 2 * edge : WIDTH;
  const top = up === 'top' ? edge : height - edge - HEIGHT;
  const left =
    isNarrow || side === 'left'
      ? edge
      : side === 'right'
        ? width - edge - wide
        : (width - wide) / 2;
  return { left, top, right: left + wide, bottom: top + HEIGHT };
}

const overlap = (a: Rect, b: Rect) =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/**
 * The place in which it covers the fewest controls; of equal ones the usual first.
 *
 * @param controls where everything that can be touched is now
 */
export function freestPlace(controls: readonly Rect[], view: View): ToastPlace {
  const covered = (place: ToastPlace) => {
    const room = roomOf(place, view);
    return controls.filter((one) => overlap(one, room)).length;
  };
  let best: ToastPlace = TOAST_PLACES[0];
  let least = Infinity;
  for (const place of TOAST_PLACES) {
    const count = covered(place);
    if (count < least) [best, least] = [place, count];
  }
  return best;
}
