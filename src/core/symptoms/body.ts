/** A part of the drawn body; the further its order, the further from the spine. */
export type BodyRegion = {
  readonly id: string;
  readonly name: string;
  readonly chain: 'arm' | 'leg' | 'head';
  /** 0 at the spine, up to fingers or toes. */
  readonly order: number;
};

export const ARM_CHAIN = [
  'neck',
  'shoulder',
  'upper arm',
  'elbow',
  'forearm',
  'hand',
  'fingers',
] as const;
export const LEG_CHAIN = ['low back', 'buttock', 'thigh', 'knee', 'calf', 'foot', 'toes'] as const;
/** Drawn and marked, but on neither chain. */
export const OTHER_PARTS = ['head', 'upper back', 'chest'] as const;

export const VIEWS = ['front', 'back'] as const;
export const SIDES = ['left', 'right'] as const;
export type View = (typeof VIEWS)[number];
export type Side = (typeof SIDES)[number];
export type BodyPart =
  | (typeof ARM_CHAIN)[number]
  | (typeof LEG_CHAIN)[number]
  | (typeof OTHER_PARTS)[number];

/** One place on the drawing, as "back right thigh". */
export type RegionId = `${View} ${Side} ${BodyPart}`;

/** Every place of the drawing, in reading order. */
export const REGIONS: readonly RegionId[] = VIEWS.flatMap((view) =>
  SIDES.flatMap((side) =>
    [...OTHER_PARTS, ...ARM_CHAIN, ...LEG_CHAIN]
      // Chest and buttock are seen from one side only.
      .filter((part) => !(part === 'chest' && view === 'back'))
      .filter((part) => !(part === 'upper back' && view === 'front'))
      .filter((part) => !(['buttock', 'low back'].includes(part) && view === 'front'))
      .map((part): RegionId => `${view} ${side} ${part}`),
  ),
);

const known: ReadonlySet<string> = new Set(REGIONS);

export function isRegion(text: string): text is RegionId {
  return known.has(text);
}

/** The part a region shows. */
export function partOf(region: RegionId): BodyPart {
  return region.split(' ').slice(2).join(' ') as BodyPart;
}

export type Reach = {
  readonly chain: 'arm' | 'leg';
  /** 0 at the spine, 6 at fingers or toes. */
  readonly order: number;
  readonly part: BodyPart;
};

function reachIn(chain: 'arm' | 'leg', regions: readonly RegionId[]): Reach | null {
  const parts: readonly BodyPart[] = chain === 'arm' ? ARM_CHAIN : LEG_CHAIN;
  const order = Math.max(...regions.map((region) => parts.indexOf(partOf(region))), -1);
  const part = parts[order];
  return part === undefined ? null : { chain, order, part };
}

/** How far along arm and leg the marks reach; a chain without a mark is left out. */
export function furthestReach(regions: readonly RegionId[]): Reach[] {
  return (['arm', 'leg'] as const).flatMap((chain) => reachIn(chain, regions) ?? []);
}

export const MOVEMENT_EFFECTS = ['drawing in', 'spreading', 'no effect'] as const;
export type MovementEffect = (typeof MOVEMENT_EFFECTS)[number];

/** What repeated movements were tried, in the order they are usually tried. */
export const REPEATED_MOVEMENTS = [
  'tuck',
  'look up with tuck',
  'neck side-bend to the painful side',
  'neck turn to the painful side',
  'back-bend standing',
  'press-up lying',
  'bend forward lying',
  'bend forward standing',
  'side-glide of the trunk',
] as const;
export type RepeatedMovement = (typeof REPEATED_MOVEMENTS)[number];

export type MovementTrial = {
  readonly movement: RepeatedMovement;
  readonly effect: MovementEffect;
};

/**
 * What moving repeatedly did to the furthest reach: nearer to the spine is drawing in
 * (centralising), further is spreading (peripheralising). More pain near the spine meanwhile does
 * not change it; new weakness or numbness does, and is asked for elsewhere.
 *
 * @param before furthest order along one chain, 0–6; null when nothing was felt
 */
export function reachChange(before: number | null, after: number | null): MovementEffect {
  const [then, now] = [before ?? -1, after ?? -1];
  return now < then ? 'drawing in' : now > then ? 'spreading' : 'no effect';
}

/** The movements that drew symptoms in, if none of the same kind spread them. */
export function directionalPreference(trials: readonly MovementTrial[]): RepeatedMovement[] {
  const spread = new Set(
    trials.filter(({ effect }) => effect === 'spreading').map(({ movement }) => movement),
  );
  return [
    ...new Set(
      trials
        .filter(({ effect, movement }) => effect === 'drawing in' && !spread.has(movement))
        .map(({ movement }) => movement),
    ),
  ];
}
