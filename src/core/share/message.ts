import type { PackLine } from '../exchange';
import type { SharedCount } from './count';

/** What a phone is told of what the clinic shows. */
export type ShareMessage =
  /** Nobody shows anything, or somebody did and has ended it. */
  | { readonly kind: 'nothing' }
  | { readonly kind: 'ended' }
  /** Shown, and between two exercises. */
  | { readonly kind: 'between' }
  /** An exercise with its count; `silent` where the desk has not answered for a while. */
  | {
      readonly kind: 'shown';
      readonly line: PackLine;
      readonly count: SharedCount;
      readonly silent: boolean;
    };
