/** A key of a page, and what it does. */
export type KeyBinding = {
  /** As the keyboard names it: "n", "/", "Enter", "ArrowRight"; with `alt` a letter, whatever it types. */
  readonly key: string;
  /** Held with it: Control or ⌘, or Alt; nothing where it is left out. */
  readonly held?: 'command' | 'command and shift' | 'alt';
  /** Also while somebody types into a field. */
  readonly whileTyping?: boolean;
  readonly does: () => void;
};

/** A pressed key, as far as a binding is found by it. */
export type PressedKey = Pick<
  KeyboardEvent,
  'key' | 'code' | 'altKey' | 'ctrlKey' | 'metaKey' | 'shiftKey'
>;

function heldWith({ altKey, ctrlKey, metaKey, shiftKey }: PressedKey): KeyBinding['held'] {
  if (ctrlKey || metaKey) return shiftKey ? 'command and shift' : 'command';
  return altKey ? 'alt' : undefined;
}

/**
 * The binding a key asks for; null where it is none of these, or only a letter of what is typed.
 *
 * @example bindingFor([{ key: 'n', does }], { key: 'n', … }, true) // null: somebody types
 */
export function bindingFor(
  bindings: readonly KeyBinding[],
  pressed: PressedKey,
  typing: boolean,
): KeyBinding | null {
  const held = heldWith(pressed);
  const isKey = (key: string) =>
    held === 'alt' ? pressed.code === `Key${key.toUpperCase()}` : sameKey(key, pressed.key);
  const found = bindings.find(
    (one) => one.held === held && isKey(one.key) && (one.whileTyping === true || !typing),
  );
  return found ?? null;
}

/** Shift, or a locked capital, makes another letter of the same key. */
const sameKey = (key: string, pressed: string) => key.toLowerCase() === pressed.toLowerCase();
