import { type KeyBinding, type PressedKey, bindingFor } from './key-bindings';

const does = () => undefined;
const bindings: readonly KeyBinding[] = [
  { key: 'n', does },
  { key: '?', does },
  { key: 'Enter', held: 'command', whileTyping: true, does },
  { key: 'z', held: 'command', does },
  { key: 'z', held: 'command and shift', does },
  { key: 'a', held: 'alt', whileTyping: true, does },
];
const NOTHING_HELD = { altKey: false, ctrlKey: false, metaKey: false, shiftKey: false };
const found = (key: string, change: Partial<PressedKey> = {}, typing = false) => {
  const pressed = { key, code: `Key${key.toUpperCase()}`, ...NOTHING_HELD, ...change };
  const binding = bindingFor(bindings, pressed, typing);
  return binding && bindings.indexOf(binding);
};

describe('the keys of a page', () => {
  it('are found by what is held with them', () => {
    expect(found('n')).toBe(0);
    expect(found('n', { ctrlKey: true })).toBeNull();
    expect(found('n', { altKey: true })).toBeNull();
    expect(found('Enter')).toBeNull();
    expect(found('Enter', { ctrlKey: true })).toBe(2);
    expect(found('Enter', { metaKey: true })).toBe(2);
    expect(found('z', { ctrlKey: true })).toBe(3);
    expect(found('Z', { metaKey: true, shiftKey: true })).toBe(4);
  });

  it('are found by the key itself with Alt, which types other letters on some keyboards', () => {
    expect(found('å', { code: 'KeyA', altKey: true })).toBe(5);
    expect(found('a')).toBeNull();
  });

  it('with a letter that shift makes, or a locked capital', () => {
    expect(found('?', { shiftKey: true })).toBe(1);
    expect(found('N')).toBe(0);
  });

  it('are letters while somebody types, but for those that say otherwise', () => {
    expect(found('n', {}, true)).toBeNull();
    expect(found('z', { ctrlKey: true }, true)).toBeNull();
    expect(found('Enter', { ctrlKey: true }, true)).toBe(2);
    expect(found('a', { altKey: true }, true)).toBe(5);
  });

  it('are none of these otherwise', () => {
    expect(found('x')).toBeNull();
    expect(bindingFor([], { key: 'n', code: 'KeyN', ...NOTHING_HELD }, false)).toBeNull();
  });
});
