import { isPlainClick } from './plain-click';

const click = { button: 0, metaKey: false, ctrlKey: false, shiftKey: false, altKey: false };
const link = (target = '', download = false) => ({
  target,
  hasAttribute: (name: string) => name === 'download' && download,
});

it('follows a link only where nothing else was meant', () => {
  expect(isPlainClick(click, link())).toBe(true);
  for (const held of ['metaKey', 'ctrlKey', 'shiftKey', 'altKey'] as const)
    expect([held, isPlainClick({ ...click, [held]: true }, link())]).toEqual([held, false]);
  expect(isPlainClick({ ...click, button: 1 }, link())).toBe(false);
  expect(isPlainClick(click, link('_blank'))).toBe(false);
  expect(isPlainClick(click, link('', true))).toBe(false);
});
