import { runInNewContext } from 'node:vm';
import { mutationsOf } from './operators';
import { probed } from './probes';

/** What a file's probes say when it is run. */
function reached(text: string, run: string): number[] {
  const changes = mutationsOf('a.ts', text).map((mutation, index) => ({ index, mutation }));
  const seen = new Set<number>();
  const __reached = (index: number) => seen.add(index);
  runInNewContext(`${probed('a.ts', text, changes)}\n${run}`, { __reached });
  return [...seen].sort((a, b) => a - b);
}

describe('probes', () => {
  it('tell which changes are passed', () => {
    const text =
      'function f(a) { if (a > 1) { return 5; } return 7; }\nconst g = (a) => a === 3 && !a;';
    const names = mutationsOf('a.ts', text).map(({ operator, was }) => `${operator} ${was}`);
    const of = (run: string) => reached(text, run).map((index) => names[index]);
    expect(of('')).toEqual([]);
    expect(of('f(2)')).toEqual([
      'comparison >',
      'boundary >',
      'constant 1',
      'return return 5;',
      'constant 5',
    ]);
    expect(of('f(0)')).toContain('return return 7;');
    expect(of('g(1)')).toEqual(['boolean &&', 'comparison ===', 'constant 3', 'boolean !a']);
  });

  it('change nothing of what is reckoned', () => {
    const text = 'const g = (a) => a > 3 ? { b: true } : { b: !a }; const h = () => ({ c: 1 });';
    const changes = mutationsOf('a.ts', text).map((mutation, index) => ({ index, mutation }));
    const made: unknown = runInNewContext(`${probed('a.ts', text, changes)}\n[g(4), g(0), h()];`);
    expect(JSON.stringify(made)).toBe('[{"b":true},{"b":true},{"c":1}]');
  });

  it('stand where nothing is told, as in another process', () => {
    const [change] = mutationsOf('a.ts', 'f(1);');
    expect(probed('a.ts', 'f(1);', [{ index: 4, mutation: change! }])).toBe(
      'globalThis.__reached?.(4);f(1);',
    );
  });
});
