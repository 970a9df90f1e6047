import { z } from 'zod';
import { DIRECTION_NAMES } from '../dose';
import {
  type Figure,
  HAND_SHAPES,
  MARKS,
  MOST_OWN_LIT,
  MOST_OWN_POSES,
  MOST_OWN_PUSHES,
  MOST_OWN_THINGS,
  MUSCLES,
  type MarkName,
  VIEWS,
  beyondRange,
  poseBetween,
  skeletonOf,
} from '../figure';
import { words } from './words';

/** A room is no larger than this each way, in cm. */
const ROOM_CM = 300;
const cm = z
  .number({ error: 'A length is a number of centimetres.' })
  .min(-ROOM_CM, `At most ${ROOM_CM} cm from the middle.`)
  .max(ROOM_CM, `At most ${ROOM_CM} cm from the middle.`);
const length = cm.positive('A thing is larger than 0 cm.');
const degrees = z
  .number({ error: 'An angle is a number of degrees.' })
  .min(-360, 'An angle is within 360°.')
  .max(360, 'An angle is within 360°.');
const vec = z.tuple([cm, cm, cm], { error: 'A place is three numbers of centimetres.' });
const mark = z.enum(Object.keys(MARKS) as [MarkName, ...MarkName[]], {
  error: 'There is no such place on the body.',
});
const side = z.enum(['right', 'left'], { error: 'A side is right or left.' });
const pair = <T extends z.ZodType>(one: T) => z.object({ right: one, left: one });

const bend = z.object({ flex: degrees, side: degrees, turn: degrees });
const shape = z
  .enum(HAND_SHAPES, { error: `A hand is one of: ${HAND_SHAPES.join(', ')}.` })
  .exactOptional();
const limb = z.discriminatedUnion(
  'by',
  [
    z.object({
      by: z.literal('angles'),
      forward: degrees,
      out: degrees,
      spin: degrees,
      bend: degrees,
      end: degrees,
      twist: degrees,
      tilt: degrees,
      shape,
    }),
    z.object({
      by: z.literal('goal'),
      to: z.union([mark, vec], { error: 'A hand or foot is at a place of the body or the room.' }),
      offset: vec.exactOptional(),
      pole: vec,
      flat: vec.exactOptional(),
      faces: vec.exactOptional(),
      shape,
    }),
  ],
  { error: 'A limb is told by angles or by a goal.' },
);
const contact = z.object({ mark, axis: z.enum(['x', 'y']), at: cm });
const blade = z.object({ up: cm, back: cm });

const pose = z.object({
  pelvis: bend,
  lumbar: bend,
  thorax: bend,
  neck: bend,
  head: bend,
  jaw: degrees,
  blades: pair(blade),
  arms: pair(limb),
  legs: pair(limb),
  contacts: z.array(contact).max(12, 'A pose touches at most twelve places.'),
});

type Posed = z.infer<typeof pose>;

const place = z.union([z.object({ on: mark, away: vec.exactOptional() }), vec], {
  error: 'A thing is on a place of the body or at three numbers of centimetres.',
});
const span = z.tuple([cm, cm]);
const prop = z.discriminatedUnion(
  'kind',
  [
    z.object({
      kind: z.literal('wall'),
      x: cm,
      from: cm.exactOptional(),
      to: cm.exactOptional(),
    }),
    z.object({
      kind: z.literal('chair'),
      x: cm.exactOptional(),
      back: z.boolean().exactOptional(),
    }),
    z.object({ kind: z.literal('bed'), x: span, top: cm }),
    z.object({ kind: z.literal('mat'), x: span }),
    z.object({ kind: z.literal('bench'), x: span, top: cm }),
    z.object({ kind: z.literal('doorframe'), x: cm, z: cm }),
    z.object({ kind: z.literal('ball'), at: place, radius: length }),
    z.object({ kind: z.literal('roll'), at: place, radius: length }),
    z.object({
      kind: z.enum(['pad', 'pillow', 'block', 'blanket', 'weight']),
      at: place,
      size: z.tuple([length, length, length]),
      feels: z.enum(['warm', 'cold']).exactOptional(),
    }),
    z.object({ kind: z.literal('wedge'), x: cm, height: length, length }),
    z.object({
      kind: z.enum(['band', 'cloth', 'strap']),
      through: z.array(place).min(2, 'A band has two ends.').max(8, 'At most eight places.'),
    }),
  ],
  { error: 'There is no such thing to draw.' },
);

const poseNumber = z.number().int().min(0).max(4);
const stage = z.object({
  pose: poseNumber,
  from: poseNumber.exactOptional(),
  side: side.exactOptional(),
  to: z.enum(DIRECTION_NAMES).exactOptional(),
});

/** A drawing as data: the shape of it. What a body cannot do is told by {@link figureFault}. */
export const OwnFigure = z
  .object({
    view: z.enum(VIEWS, { error: `The view is one of: ${VIEWS.join(', ')}.` }),
    crop: z.enum(['whole', 'upper'], { error: 'The picture shows the whole or the upper body.' }),
    poses: z
      .array(pose, { error: 'The poses are missing.' })
      .min(2, 'A drawing has two to five poses.')
      .max(MOST_OWN_POSES, 'A drawing has two to five poses.')
      .transform((poses) => poses as [Posed, Posed, ...Posed[]]),
    path: z.enum(['back', 'round'], { error: 'It goes back or round.' }),
    names: z.array(words('The name of a pose', 80)),
    props: z.array(prop).max(MOST_OWN_THINGS, 'At most eight things.'),
    lit: z
      .array(
        z.object({
          muscle: z.enum(MUSCLES, { error: 'There is no such region to light.' }),
          as: z.enum(['working', 'stretched'], { error: 'A region works or is stretched.' }),
          side: side.exactOptional(),
        }),
      )
      .max(MOST_OWN_LIT, 'At most twelve regions.'),
    pushes: z
      .array(
        z.object({
          from: mark,
          way: vec,
          at: z.array(poseNumber).exactOptional(),
          turn: side.exactOptional(),
        }),
      )
      .max(MOST_OWN_PUSHES, 'At most six pushes.'),
    fault: z.object({ name: words('The name of the fault', 120), pose }).nullable(),
    eyesClosed: z.literal(true).exactOptional(),
    stages: z
      .object({
        by: z.enum(['direction', 'station', 'barrier']),
        at: z.tuple([stage], stage),
      })
      .nullable(),
  })
  .refine(({ poses, names }) => names.length === poses.length, 'Each pose has one name.')
  .refine(({ poses, stages, pushes }) => {
    const used = [
      ...(stages?.at ?? []).flatMap((one) => [one.pose, one.from ?? 0]),
      ...pushes.flatMap(({ at }) => at ?? []),
    ];
    return used.every((number) => number < poses.length);
  }, 'It speaks of a pose that it does not have.') satisfies z.ZodType<Figure>;
export type OwnFigure = z.infer<typeof OwnFigure>;

/** Farther from where it is asked to be, a hand or foot does not touch it. In cm. */
export const MOST_MISSED_CM = 2;

/**
 * Why a drawing shows what no body does: a joint beyond its range or a hand that does not get where
 * it should, in a pose or on the way to the next. Null when all is well.
 */
export function figureFault({ poses, fault, names }: Figure): string | null {
  for (const [index, pose] of poses.entries()) {
    const say = poseFault(pose);
    if (say) return `pose ${index + 1} (${names[index] ?? ''}): ${say}`;
    const next = poses[index + 1];
    const between = next && poseFault(poseBetween(pose, next, 0.5));
    if (between) return `on the way from pose ${index + 1}: ${between}`;
  }
  const wrong = fault && poseFault(fault.pose);
  return wrong ? `the fault: ${wrong}` : null;
}

function poseFault(pose: Figure['poses'][number]): string | null {
  const [beyond] = beyondRange(pose);
  if (beyond) return `no joint goes so far (${beyond}).`;
  const { missed } = skeletonOf(pose);
  return missed > MOST_MISSED_CM
    ? `a hand or foot is ${Math.round(missed)} cm short of where it should be.`
    : null;
}

/** A drawing of a clinic's own by its content, so that one that was sent stays what it was. */
export const drawingId = z.string().regex(/^own-[\w-]{22}$/, 'This is not a drawing’s id.');
