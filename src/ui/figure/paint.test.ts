import type { Shape } from '@/core/figure';
import { paint } from './paint';

/** As much of a document as painting asks for, which counts what it is told. */
class Path {
  readonly told = new Map<string, string>();
  constructor(private readonly group: Group) {}
  setAttribute(name: string, value: string): void {
    this.group.count += 1;
    this.told.set(name, value);
  }
  remove(): void {
    this.group.children.splice(this.group.children.indexOf(this), 1);
  }
}
class Group {
  readonly children: Path[] = [];
  count = 0;
  appendChild(path: Path): Path {
    this.children.push(path);
    return path;
  }
  get lastElementChild(): Path | undefined {
    return this.children.at(-1);
  }
  get shown(): (string | undefined)[][] {
    return this.children.map(({ told }) => [told.get('class'), told.get('d')]);
  }
}
let group: Group;
beforeEach(() => {
  group = new Group();
  (globalThis as unknown as Record<string, unknown>).document = {
    createElementNS: (space: string, name: string) => {
      expect([space, name]).toEqual(['http://www.w3.org/2000/svg', 'path']);
      return new Path(group);
    },
  };
});
afterEach(() => {
  delete (globalThis as unknown as Record<string, unknown>).document;
});

const shapes = (...pairs: [string, string][]) =>
  pairs.map(([tone, d]) => ({ tone, d })) as unknown as Shape[];
/** Paints, and says how many attributes the browser was told. */
function told(what: readonly Shape[]): number {
  const before = group.count;
  paint(group as unknown as SVGGElement, what);
  return group.count - before;
}

it('shows shapes in their order', () => {
  told(shapes(['ground', 'M0 0'], ['skin', 'M1 1']));
  expect(group.shown).toEqual([
    ['ground', 'M0 0'],
    ['skin', 'M1 1'],
  ]);
});

it('tells the browser only what differs from the last time', () => {
  expect(told(shapes(['ground', 'M0 0'], ['skin', 'M1 1']))).toBe(4);
  const moved = shapes(['ground', 'M0 0'], ['skin', 'M2 2']);
  expect(told(moved)).toBe(1);
  expect(told(moved)).toBe(0);
  expect(told(shapes(['ground', 'M0 0'], ['cloth', 'M2 2']))).toBe(1);
  expect(group.shown).toEqual([
    ['ground', 'M0 0'],
    ['cloth', 'M2 2'],
  ]);
});

it('takes away what is not shown any more, and brings more again', () => {
  const three = shapes(['ground', 'M0 0'], ['skin', 'M1 1'], ['hair', 'M3 3']);
  told(three);
  told(shapes(['skin', 'M1 1']));
  expect(group.shown).toEqual([['skin', 'M1 1']]);
  told(three);
  expect(group.shown).toEqual(three.map(({ tone, d }) => [tone, d]));
  told([]);
  expect(group.shown).toEqual([]);
});
