import type { Facing, PhotoMarks, Point } from '@/core/measures';
import { millimetres } from '@/core/units';

/** The points in the order they are marked. */
export const MARKS = {
  tragus: {
    name: 'Ear (tragus)',
    how: 'The small flap in front of the ear’s opening.',
    must: true,
  },
  c7: { name: 'C7', how: 'The bump at the base of the neck; a sticker helps.', must: true },
  shoulder: { name: 'Shoulder point', how: 'The bony edge on top of the shoulder.', must: false },
  eye: { name: 'Outer eye corner', how: 'For the tilt of the head.', must: false },
  lineA: {
    name: 'Line, one end',
    how: 'Something upright or level, such as a door frame.',
    must: false,
  },
  lineB: { name: 'Line, other end', how: 'The longer, the better.', must: false },
  scaleA: { name: 'Known length, one end', how: 'A ruler beside the patient.', must: false },
  scaleB: { name: 'Known length, other end', how: 'Write its length below.', must: false },
} as const;
export type MarkId = keyof typeof MARKS;
export const MARK_IDS = Object.keys(MARKS) as MarkId[];

export type Marking = {
  readonly points: Readonly<Partial<Record<MarkId, Point>>>;
  readonly facing: Facing;
  readonly lineKind: 'vertical' | 'level';
  readonly lengthMm: string;
  readonly active: MarkId;
};

export const NO_MARKS: Marking = {
  points: {},
  facing: 'right',
  lineKind: 'vertical',
  lengthMm: '200',
  active: 'tragus',
};

/** Moves the active mark; a mark placed for the first time hands over to the next one. */
export function placeMark(marking: Marking, point: Point, hold: boolean): Marking {
  const { active, points } = marking;
  const isNew = points[active] === undefined;
  const next = MARK_IDS.find((id) => id !== active && points[id] === undefined);
  return {
    ...marking,
    points: { ...points, [active]: point },
    active: isNew && next && !hold ? next : active,
  };
}

/** Moves the active mark by so many pixels, kept within the picture; it begins in its middle. */
export function nudgeMark(
  marking: Marking,
  by: Point,
  size: { readonly width: number; readonly height: number },
): Marking {
  const old = marking.points[marking.active] ?? { x: size.width / 2, y: size.height / 2 };
  const within = (value: number, most: number) => Math.min(most, Math.max(0, value));
  const point = { x: within(old.x + by.x, size.width), y: within(old.y + by.y, size.height) };
  return placeMark(marking, point, true);
}

/** The marks as the measuring takes them; null while ear or C7 is missing. */
export function marksOf(marking: Marking): PhotoMarks | null {
  const { points, facing, lineKind, lengthMm } = marking;
  const { tragus, c7, shoulder, eye, lineA, lineB, scaleA, scaleB } = points;
  if (!tragus || !c7) return null;
  const known = Number(lengthMm.replace(',', '.'));
  return {
    facing,
    tragus,
    c7,
    shoulder: shoulder ?? null,
    eye: eye ?? null,
    reference: lineA && lineB ? { kind: lineKind, a: lineA, b: lineB } : null,
    scale:
      scaleA && scaleB && known > 0
        ? { a: scaleA, b: scaleB, millimetres: millimetres(known) }
        : null,
  };
}
