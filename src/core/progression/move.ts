import type { GrownMeasure } from './steps/frequency';

/** What can be proposed for a line, the gravest first. */
export const MOVES = [
  'stop',
  'step back',
  'rest day',
  'ask',
  'choose load',
  'advance rung',
  'advance load',
  'advance hold',
  'advance volume',
  'advance days',
  'advance times',
  'stay',
] as const;
export type Move = (typeof MOVES)[number];

/** What a move is to whoever decides: nothing of the first kind is ever hidden by an earlier decision. */
export type MoveClass = 'danger' | 'ask' | 'growth' | 'none';

export const MOVE_CLASS: Readonly<Record<Move, MoveClass>> = {
  stop: 'danger',
  'step back': 'danger',
  'rest day': 'danger',
  ask: 'ask',
  'choose load': 'growth',
  'advance rung': 'growth',
  'advance load': 'growth',
  'advance hold': 'growth',
  'advance volume': 'growth',
  'advance days': 'growth',
  'advance times': 'growth',
  stay: 'none',
};

/** What it is called when a measure grows. */
export const MOVE_OF: Readonly<Record<GrownMeasure, Move>> = {
  hold: 'advance hold',
  volume: 'advance volume',
  stations: 'advance volume',
  effort: 'advance volume',
  load: 'advance load',
  band: 'advance load',
  times: 'advance times',
  days: 'advance days',
};

/** A step up, or the way back to one. */
export function isGrowth({ move }: { readonly move: Move }): boolean {
  return MOVE_CLASS[move] === 'growth';
}

/** A stop, a step back or a rest. */
export function isDanger({ move }: { readonly move: Move }): boolean {
  return MOVE_CLASS[move] === 'danger';
}
