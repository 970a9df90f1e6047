import type { Exercise } from '@/core/exercise';

type Given = Omit<Exercise, 'props' | 'ways' | 'doses' | 'strength' | 'traits'> &
  Partial<Pick<Exercise, 'ways' | 'doses' | 'strength' | 'traits'>> & {
    /** Prop → what will do instead → what that costs. */
    readonly props?: Readonly<Record<string, Readonly<Record<string, string>>>>;
  };

/** Parts of a dose an exercise wants written: nothing more, the side, the effort, both. */
export const PLAIN = { sided: false, effort: false } as const;
export const SIDED = { sided: true, effort: false } as const;
export const PUSHED = { sided: false, effort: true } as const;
export const PUSHED_EACH_SIDE = { sided: true, effort: true } as const;

/** An entry as the files of this folder write it, made whole. */
export function entry(given: Given): Exercise {
  return {
    traits: [],
    ways: '',
    doses: {},
    strength: null,
    ...given,
    props: Object.entries(given.props ?? {}).map(([prop, orElse]) => ({
      prop,
      orElse: Object.entries(orElse).map(([other, consequence]) => ({ prop: other, consequence })),
    })),
  };
}
