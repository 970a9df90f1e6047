import type { Range } from '../units';
import { DoseFailure } from './error';
import { LIMITS, type LimitName } from './limits';

const FOLD: Readonly<Record<string, string>> = {
  '×': 'x',
  '–': '-',
  '—': '-',
  '−': '-',
  '“': '"',
  '”': '"',
  '„': '"',
};

/** One character for one character, so that every position stays a position in the typed text. */
function fold(text: string): string {
  return text.replace(/[A-Z×–—−“”„]/g, (c) => FOLD[c] ?? c.toLowerCase()).replace(/\s/g, ' ');
}

export type Spot = { readonly from: number; readonly to: number };

/**
 * Reads a dose line from left to right. It only ever moves forward over text that a caller
 * has understood, so no token can be dropped silently.
 */
export class Scanner {
  position = 0;
  readonly folded: string;

  constructor(readonly typed: string) {
    this.folded = fold(typed);
  }

  /** Matches a sticky pattern here and moves past it; null, unmoved, when it does not match. */
  take(pattern: RegExp): RegExpExecArray | null {
    const sticky = new RegExp(pattern.source, 'y');
    sticky.lastIndex = this.position;
    const match = sticky.exec(this.folded);
    if (match) this.position += match[0].length;
    return match;
  }

  /** True when the pattern stands here; does not move. */
  sees(pattern: RegExp): boolean {
    const before = this.position;
    const match = this.take(pattern);
    this.position = before;
    return match !== null;
  }

  skipSpace(): void {
    this.take(/ */);
  }

  get atEnd(): boolean {
    return this.position >= this.folded.length;
  }

  /** The word or number starting here, for an error message. */
  wordAt(from: number): string {
    return /^\S*/.exec(this.typed.slice(from))?.[0] ?? '';
  }

  fail(say: string, expected: readonly string[], spot?: Spot): never {
    const from = spot?.from ?? this.position;
    const found = spot ? this.typed.slice(spot.from, spot.to) : this.wordAt(from);
    throw new DoseFailure({ at: from, length: Math.max(1, found.length), found, expected, say });
  }

  /** Checks both ends of a range; `word` names it in the sentence. */
  within(range: Range, limit: LimitName, word: string, spot: Spot, unit = ''): void {
    const [lowest, highest] = LIMITS[limit];
    const allowed = [`${lowest}–${highest}${unit}`];
    if (range.least > range.most) {
      this.fail(
        `The range of ${word} runs backwards: write the smaller number first.`,
        allowed,
        spot,
      );
    }
    if (range.least < lowest) {
      this.fail(
        `The least ${word} can be is ${lowest}${unit}. Leave it out if there is none.`,
        allowed,
        spot,
      );
    }
    if (range.most > highest) {
      this.fail(`The most ${word} can be is ${highest}${unit}.`, allowed, spot);
    }
  }
}
