import { type Paces, DEFAULT_PACES } from '@/core/timeline';

/** How this device plays: kept here only, never sent. */
export type Preferences = {
  readonly tones: boolean;
  readonly voice: boolean;
  readonly vibration: boolean;
  /** Tap when done, instead of following the clock. */
  readonly ownPace: boolean;
  /** The word and the count as large as the screen allows: the phone is propped across the room. */
  readonly far: boolean;
  readonly paces: Paces;
};

const KEY = 'dl-player';

/** What holds where nothing was chosen. */
export const USUAL: Preferences = {
  tones: true,
  voice: false,
  vibration: true,
  ownPace: false,
  far: false,
  paces: DEFAULT_PACES,
};

/** What was chosen on this device before; the usual where nothing can be kept. */
export function preferences(): Preferences {
  try {
    const { paces, ...kept } = JSON.parse(localStorage.getItem(KEY) ?? '{}') as Unchecked;
    return {
      ...whereRight(USUAL, kept, (one) => typeof one === 'boolean'),
      paces: whereRight(DEFAULT_PACES, paces ?? {}, isPace),
    };
  } catch {
    return USUAL;
  }
}

/** What another version of the page, or another program, may have left under the same name. */
type Unchecked = { readonly paces?: Unchecked } & Readonly<Record<string, unknown>>;

const isPace = (one: unknown) => typeof one === 'number' && Number.isFinite(one) && one >= 0;

/** The usual, with what was kept wherever that is of the right kind; nothing else that was kept. */
function whereRight<T extends object>(
  usual: T,
  kept: Unchecked,
  isRight: (one: unknown) => boolean,
): T {
  const names = Object.keys(usual).filter((name) => isRight(kept[name]));
  return { ...usual, ...Object.fromEntries(names.map((name) => [name, kept[name]])) };
}

export function keepPreferences(chosen: Preferences): void {
  try {
    localStorage.setItem(KEY, JSON.stringify(chosen));
  } catch {
    // They hold until the page is closed; that is all.
  }
}

export const TEXT_SIZES = ['normal', 'large', 'larger'] as const;
export type TextSize = (typeof TEXT_SIZES)[number];
const TEXT_KEY = 'dl-text-size';

export function textSize(): TextSize {
  try {
    const kept = localStorage.getItem(TEXT_KEY);
    return TEXT_SIZES.find((size) => size === kept) ?? 'normal';
  } catch {
    return 'normal';
  }
}

/** Puts the chosen size on the page, and keeps it. */
export function setTextSize(size: TextSize): void {
  document.documentElement.dataset.text = size;
  try {
    localStorage.setItem(TEXT_KEY, size);
  } catch {
    // It holds until the page is closed.
  }
}
