/** Held with a key: Control or ⌘, or Alt (Control and Option together where Option types letters). */
export type Held = 'command' | 'command and shift' | 'alt';

/** Keys that type nothing; only these may act with nothing held. */
type NavigationKey = 'ArrowLeft' | 'ArrowRight' | 'PageDown' | 'PageUp';

/**
 * A key of a page, and what it does. No letter acts by itself: a hand that slips, or a voice that
 * dictates, would write into the record (WCAG 2.2, 2.1.4).
 */
export type KeyBinding = {
  /** Also while somebody types into a field. */
  readonly whileTyping?: boolean;
  readonly does: () => void;
} & (
  | {
      /** As the keyboard names it: "k", "Enter"; with Alt a letter by its place, whatever it types. */
      readonly key: string;
      readonly held: Held;
    }
  | { readonly key: NavigationKey; readonly held?: never }
);

/** A pressed key, as far as a binding is found by it. */
export type PressedKey = Pick<
  KeyboardEvent,
  'key' | 'code' | 'altKey' | 'ctrlKey' | 'metaKey' | 'shiftKey' | 'getModifierState'
>;

/** What is held with a key; null where what is held types another letter of the layout. */
function heldWith(pressed: PressedKey): Held | 'nothing' | null {
  const { altKey, ctrlKey, metaKey, shiftKey } = pressed;
  if (pressed.getModifierState('AltGraph')) return null;
  if (altKey) return 'alt';
  if (ctrlKey || metaKey) return shiftKey ? 'command and shift' : 'command';
  return 'nothing';
}

/**
 * Whether a key that is pressed with Alt types a letter of its own, as Option does on some keyboards.
 *
 * @example typesAnother({ key: 'å', code: 'KeyA', altKey: true, … }) // true
 */
function typesAnother({ key, code, ctrlKey }: PressedKey): boolean {
  return !ctrlKey && key.length === 1 && `Key${key.toUpperCase()}` !== code;
}

/** Whether a letter is pressed with Alt, and types nothing in the field it is pressed in. */
export function isAltLetter(pressed: PressedKey, letter: string, typing: boolean): boolean {
  return (
    heldWith(pressed) === 'alt' &&
    pressed.code === `Key${letter.toUpperCase()}` &&
    !(typing && typesAnother(pressed))
  );
}

/**
 * The binding a key asks for; null where it is none of these, or a letter of what is typed.
 *
 * @param typing whether a field has the keyboard
 */
export function bindingFor(
  bindings: readonly KeyBinding[],
  pressed: PressedKey,
  typing: boolean,
): KeyBinding | null {
  const held = heldWith(pressed);
  const isKey = (one: KeyBinding) =>
    one.held === 'alt'
      ? isAltLetter(pressed, one.key, typing)
      : (one.held ?? 'nothing') === held && sameKey(one.key, pressed.key);
  return bindings.find((one) => isKey(one) && (one.whileTyping === true || !typing)) ?? null;
}

/** Shift, or a locked capital, makes another letter of the same key. */
const sameKey = (key: string, pressed: string) => key.toLowerCase() === pressed.toLowerCase();
