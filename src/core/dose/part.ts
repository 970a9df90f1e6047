import type { Dose } from './model';

/** What a part fills. Two parts with the same slot contradict each other. */
export type Slot = Exclude<keyof Dose, 'head'>;
export type Part = { readonly slot: Slot; readonly value: Partial<Dose> };
