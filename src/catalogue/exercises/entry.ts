import type { Sides, SidesName } from '@/core/dose';
import { type Exercise, setUpsOf } from '@/core/exercise';

type Left = 'ways' | 'doses' | 'strength' | 'traits' | 'sides' | 'directions' | 'setUps';
type Given = Omit<Exercise, 'props' | 'ladder' | Left> &
  Partial<Pick<Exercise, Left>> & {
    /** Prop → what will do instead → what that costs. */
    readonly props?: Readonly<Record<string, Readonly<Record<string, string>>>>;
  };

/** Parts of a dose an exercise wants written: nothing more, the side, the effort, both. */
export const PLAIN = { sided: false, effort: false } as const;
export const SIDED = { sided: true, effort: false } as const;
export const PUSHED = { sided: false, effort: true } as const;
export const PUSHED_EACH_SIDE = { sided: true, effort: true } as const;

/**
 * What is done on each side, from one sentence for both.
 *
 * @param say its words for the named side and the other one
 * @example sides('turned', (side) => `turns the face to the ${side}`)
 */
export function sides(name: SidesName, say: (side: string, other: string) => string): Sides {
  return { name, left: say('left', 'right'), right: say('right', 'left') };
}

/** An entry as the files of this folder write it, made whole. */
export function entry(given: Given): Exercise {
  const props = Object.entries(given.props ?? {}).map(([prop, orElse]) => ({
    prop,
    orElse: Object.entries(orElse).map(([other, consequence]) => ({ prop: other, consequence })),
  }));
  return {
    traits: [],
    ladder: null,
    sides: null,
    directions: [],
    ways: '',
    doses: {},
    strength: null,
    ...given,
    setUps: given.setUps ?? setUpsOf(props),
    props,
  };
}
