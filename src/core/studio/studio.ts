import { type Figure, mirrorPose, MOST_OWN_POSES, type Pose } from '../figure';

/** Which pose is at hand: by its order, or the fault. */
export type At = number | 'fault';

/** What is drawn, what of it is at hand, and the way back. */
export type Studio = {
  readonly figure: Figure;
  readonly at: At;
  readonly past: readonly Figure[];
  readonly future: readonly Figure[];
  /** The drag or slide under way: all of it is one step to undo. */
  readonly stroke: number | null;
};

export type StudioAct =
  /** Changes the pose at hand; the same stroke again changes the same step. */
  | { readonly kind: 'pose'; readonly change: (pose: Pose) => Pose; readonly stroke?: number }
  /** Changes anything but the poses. */
  | {
      readonly kind: 'set';
      readonly change: Partial<Omit<Figure, 'poses' | 'names'>>;
      readonly stroke?: number;
    }
  | { readonly kind: 'at'; readonly at: At }
  | { readonly kind: 'add pose' }
  | { readonly kind: 'remove pose' }
  | { readonly kind: 'move pose'; readonly by: 1 | -1 }
  | { readonly kind: 'name'; readonly name: string }
  | { readonly kind: 'add fault' }
  | { readonly kind: 'remove fault' }
  | { readonly kind: 'mirror' }
  | { readonly kind: 'begin'; readonly figure: Figure }
  | { readonly kind: 'undo' }
  | { readonly kind: 'redo' };

/** So many steps can be taken back. */
const MOST_STEPS = 100;

export function openStudio(figure: Figure): Studio {
  return { figure, at: 0, past: [], future: [], stroke: null };
}

/** The pose at hand. */
export function poseAtHand({ figure, at }: Studio): Pose {
  if (at === 'fault') return figure.fault?.pose ?? figure.poses[0];
  return figure.poses[at] ?? figure.poses[0];
}

/** What the pose at hand is called. */
export function nameAtHand({ figure, at }: Studio): string {
  return at === 'fault' ? (figure.fault?.name ?? '') : (figure.names[at] ?? '');
}

/** One act in the studio. An act that changes nothing leaves no step behind. */
export function studioAfter(studio: Studio, act: StudioAct): Studio {
  const { figure, at } = studio;
  switch (act.kind) {
    case 'at':
      return { ...studio, at: act.at, stroke: null };
    case 'undo':
      return back(studio);
    case 'redo':
      return forth(studio);
    case 'begin':
      return { ...stepped(studio, act.figure), at: 0 };
    case 'set':
      return stepped(studio, { ...figure, ...act.change }, act.stroke);
    case 'pose': {
      const pose = poseAtHand(studio);
      const next = act.change(pose);
      return next === pose ? studio : stepped(studio, withPose(figure, at, next), act.stroke);
    }
    case 'mirror':
      return stepped(studio, withPose(figure, at, mirrorPose(poseAtHand(studio))));
    case 'name':
      return stepped(studio, named(figure, at, act.name), NAMING);
    case 'add fault': {
      if (figure.fault) return { ...studio, at: 'fault' };
      const fault = { name: 'What goes wrong', pose: poseAtHand(studio) };
      return { ...stepped(studio, { ...figure, fault }), at: 'fault' };
    }
    case 'remove fault':
      return figure.fault ? { ...stepped(studio, { ...figure, fault: null }), at: 0 } : studio;
    case 'add pose':
      return withAnother(studio);
    case 'remove pose':
      return withoutThis(studio);
    case 'move pose':
      return reordered(studio, act.by);
  }
}

/** Letters of one name are one step. */
const NAMING = -1;

function stepped(studio: Studio, figure: Figure, stroke?: number): Studio {
  const goesOn = stroke !== undefined && stroke === studio.stroke;
  return {
    ...studio,
    figure,
    past: goesOn ? studio.past : [...studio.past, studio.figure].slice(-MOST_STEPS),
    future: [],
    stroke: stroke ?? null,
  };
}

function back(studio: Studio): Studio {
  const before = studio.past.at(-1);
  if (!before) return studio;
  return {
    figure: before,
    at: inside(studio.at, before),
    past: studio.past.slice(0, -1),
    future: [studio.figure, ...studio.future],
    stroke: null,
  };
}

function forth(studio: Studio): Studio {
  const [next, ...future] = studio.future;
  if (!next) return studio;
  return {
    figure: next,
    at: inside(studio.at, next),
    past: [...studio.past, studio.figure],
    future,
    stroke: null,
  };
}

/** A pose that is there: the one asked for, else the first. */
function inside(at: At, { poses, fault }: Figure): At {
  if (at === 'fault') return fault ? at : 0;
  return at < poses.length ? at : poses.length - 1;
}

function withPose(figure: Figure, at: At, pose: Pose): Figure {
  if (at === 'fault')
    return figure.fault ? { ...figure, fault: { ...figure.fault, pose } } : figure;
  return withPoses(
    figure,
    figure.poses.map((one, index) => (index === at ? pose : one)),
    figure.names,
  );
}

function named(figure: Figure, at: At, name: string): Figure {
  if (at === 'fault')
    return figure.fault ? { ...figure, fault: { ...figure.fault, name } } : figure;
  return { ...figure, names: figure.names.map((one, index) => (index === at ? name : one)) };
}

function withPoses(figure: Figure, poses: readonly Pose[], names: readonly string[]): Figure {
  const [first, second, ...others] = poses;
  return first && second ? { ...figure, poses: [first, second, ...others], names } : figure;
}

function withAnother(studio: Studio): Studio {
  const { figure } = studio;
  const after = studio.at === 'fault' ? figure.poses.length - 1 : studio.at;
  if (figure.poses.length >= MOST_OWN_POSES) return studio;
  const made = withPoses(
    figure,
    figure.poses.toSpliced(after + 1, 0, figure.poses[after] ?? figure.poses[0]),
    figure.names.toSpliced(after + 1, 0, 'Then'),
  );
  const kept =
    after === figure.poses.length - 1 ? made : renumbered(made, (n) => (n > after ? n + 1 : n));
  return { ...stepped(studio, kept), at: after + 1 };
}

function withoutThis(studio: Studio): Studio {
  const { figure, at } = studio;
  if (at === 'fault' || figure.poses.length <= 2) return studio;
  const made = withPoses(figure, figure.poses.toSpliced(at, 1), figure.names.toSpliced(at, 1));
  const kept = renumbered(made, (n) => (n === at ? null : n > at ? n - 1 : n));
  return { ...stepped(studio, kept), at: Math.max(0, at - 1) };
}

function reordered(studio: Studio, by: 1 | -1): Studio {
  const { figure, at } = studio;
  if (at === 'fault') return studio;
  const to = at + by;
  const [pose, name] = [figure.poses[at], figure.names[at]];
  if (to < 0 || to >= figure.poses.length || !pose || name === undefined) return studio;
  const made = withPoses(
    figure,
    figure.poses.toSpliced(at, 1).toSpliced(to, 0, pose),
    figure.names.toSpliced(at, 1).toSpliced(to, 0, name),
  );
  const kept = renumbered(made, (n) => (n === at ? to : n === to ? at : n));
  return { ...stepped(studio, kept), at: to };
}

/** Pushes and places follow their poses; those of a pose that is gone go with it. */
function renumbered(figure: Figure, to: (pose: number) => number | null): Figure {
  const pushes = figure.pushes.flatMap((push) => {
    if (push.at === undefined) return [push];
    const at = push.at.flatMap((pose) => to(pose) ?? []);
    return at.length > 0 ? [{ ...push, at }] : [];
  });
  const places = figure.stages?.at.flatMap((stage) => {
    const pose = to(stage.pose);
    const from = stage.from === undefined ? undefined : to(stage.from);
    if (pose === null || from === null) return [];
    return [{ ...stage, pose, ...(from === undefined ? {} : { from }) }];
  });
  const [first, ...others] = places ?? [];
  const stages =
    figure.stages && first ? { ...figure.stages, at: [first, ...others] as const } : null;
  return { ...figure, pushes, stages };
}
