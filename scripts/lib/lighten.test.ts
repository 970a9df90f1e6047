import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { lighten } from './lighten.mjs';

let folder: string;
const put = (name: string, text: string) => writeFileSync(join(folder, name), text);
const read = (name: string) => readFileSync(join(folder, name), 'utf8');
const required = (name: string): unknown => createRequire(join(folder, 'x.js'))(`./${name}`);

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'lighten-'));
  mkdirSync(join(folder, 'ssr'));
});
afterEach(() => rmSync(folder, { recursive: true }));

const CHUNK = (name: string) =>
  `module.exports = [\n1, (say) => say('10 – 15 ‎s', \`ضعف \${1 + 1}\`),\n];\n// a comment – of ${name}\n//# sourceMappingURL=${name}.js.map`;

test('what is beyond Latin-1 is escaped, and says the same', async () => {
  put('a.js', CHUNK('a'));
  await lighten(folder);
  expect(read('a.js')).toMatch(/^[\u0000-\u007f]*$/);
  expect(read('a.js')).not.toContain('comment');
  const [id, say] = required('a.js') as [number, (f: (...all: unknown[]) => unknown) => unknown];
  expect(id).toBe(1);
  expect(say((...all) => all)).toEqual(['10 – 15 ‎s', 'ضعف 2']);
});

test('of files that hold the same one stays, and the others hand on what it holds', async () => {
  put('a.js', CHUNK('a'));
  put('b.js', CHUNK('b'));
  put(join('ssr', 'c.js'), CHUNK('c'));
  put(join('ssr', 'd.js'), CHUNK('d').replace('[\n1,', '[\n2,'));
  const { before, after } = await lighten(folder);
  expect(required('b.js')).toBe(required('a.js'));
  expect(required('ssr/c.js')).toBe(required('a.js'));
  expect(required('ssr/d.js')).not.toBe(required('a.js'));
  expect(read('b.js').length).toBeLessThan(60);
  expect(after).toBeLessThan(before / 2);
});

test('what is looked for is looked for as it was', async () => {
  put('a.js', 'module.exports = [\n1, (text) => /^[–—]$/.test(text),\n];\n');
  await lighten(folder);
  const [, isDash] = required('a.js') as [number, (text: string) => boolean];
  expect(['–', '—', '-', '\\u2013'].map(isDash)).toEqual([true, true, false, false]);
});

test('what keeps something of its own, as the loader does, stays itself', async () => {
  put('loader.js', 'const kept = new Map();\nmodule.exports = () => kept;');
  put(join('ssr', 'loader.js'), 'const kept = new Map();\nmodule.exports = () => kept;');
  await lighten(folder);
  const [one, other] = ['loader.js', 'ssr/loader.js'].map(required) as [() => object, () => object];
  expect(one()).not.toBe(other());
});
