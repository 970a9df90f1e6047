import { type KeyBinding, type PressedKey, bindingFor, isAltLetter } from './key-bindings';

const does = () => undefined;
const bindings: readonly KeyBinding[] = [
  { key: 'n', held: 'alt', does },
  { key: 'ArrowRight', does },
  { key: 'Enter', held: 'command', whileTyping: true, does },
  { key: 'z', held: 'command', does },
  { key: 'z', held: 'command and shift', does },
  { key: 'a', held: 'alt', whileTyping: true, does },
];
const pressed = (key: string, change: Partial<PressedKey> = {}): PressedKey => ({
  key,
  code: `Key${key.toUpperCase()}`,
  altKey: false,
  ctrlKey: false,
  metaKey: false,
  shiftKey: false,
  getModifierState: () => false,
  ...change,
});
const found = (key: string, change: Partial<PressedKey> = {}, typing = false) => {
  const binding = bindingFor(bindings, pressed(key, change), typing);
  return binding && bindings.indexOf(binding);
};

describe('the keys of a page', () => {
  it('are found by what is held with them', () => {
    expect(found('n', { altKey: true })).toBe(0);
    expect(found('n', { ctrlKey: true })).toBeNull();
    expect(found('Enter')).toBeNull();
    expect(found('Enter', { ctrlKey: true })).toBe(2);
    expect(found('Enter', { metaKey: true })).toBe(2);
    expect(found('z', { ctrlKey: true })).toBe(3);
    expect(found('Z', { metaKey: true, shiftKey: true })).toBe(4);
    expect(found('ArrowRight')).toBe(1);
    expect(found('ArrowRight', { altKey: true })).toBeNull();
  });

  it('are never a letter alone', () => {
    for (const letter of 'abcdefghijklmnopqrstuvwxyz/?')
      expect([found(letter), found(letter.toUpperCase(), { shiftKey: true })]).toEqual([
        null,
        null,
      ]);
  });

  it('are found by the place of the key with Alt, which types other letters on some keyboards', () => {
    const option = { code: 'KeyA', altKey: true };
    expect(found('å', option)).toBe(5);
    // In a field the letter is meant; with Control beside it nothing is typed.
    expect(found('å', option, true)).toBeNull();
    expect(found('å', { ...option, ctrlKey: true }, true)).toBe(5);
    expect(found('a', { altKey: true }, true)).toBe(5);
  });

  it('leave the letters of the third level alone', () => {
    const third = { altKey: true, ctrlKey: true, getModifierState: () => true };
    expect(found('ą', { code: 'KeyA', ...third })).toBeNull();
    expect(found('z', { ...third, altKey: false })).toBeNull();
    expect(isAltLetter(pressed('d', third), 'd', true)).toBe(false);
    expect(isAltLetter(pressed('d', { altKey: true }), 'd', true)).toBe(true);
  });

  it('are letters while somebody types, but for those that say otherwise', () => {
    expect(found('n', { altKey: true }, true)).toBeNull();
    expect(found('z', { ctrlKey: true }, true)).toBeNull();
    expect(found('ArrowRight', {}, true)).toBeNull();
    expect(found('Enter', { ctrlKey: true }, true)).toBe(2);
  });

  it('are none of these otherwise', () => {
    expect(found('x', { altKey: true })).toBeNull();
    expect(bindingFor([], pressed('n', { altKey: true }), false)).toBeNull();
  });
});
