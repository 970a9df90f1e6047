import type { InstrumentName } from '@/core/measures';
import type { Reading } from '@/core/instruments';

/** What an instrument tells while it is connected. */
export type InstrumentEvent =
  | { readonly type: 'reading'; readonly reading: Reading }
  | { readonly type: 'lost' }
  | { readonly type: 'back' }
  | { readonly type: 'battery'; readonly percent: number };

export type Connection = {
  /** Calls what it reads now zero. */
  zero(): void;
  disconnect(): void;
};

/**
 * Anything that measures: a stand-in of the bench, the phone's own sensor, or a real device with
 * an adapter of this shape (docs/instruments.md).
 */
export type Instrument = {
  readonly name: InstrumentName;
  readonly unit: string;
  /** Rejects with a sentence when it cannot be had. */
  connect(listen: (event: InstrumentEvent) => void): Promise<Connection>;
};
