import { readFile, readdir, writeFile } from 'node:fs/promises';
import { dirname, join, relative, sep } from 'node:path';
import { transform } from 'esbuild';

/** What the bundler's loader takes modules from; anything else, such as the loader, stays itself. */
const HOLDS_MODULES = /^module\.exports=\[/;
/** Characters of a line, about: a fault's stack names lines. */
const LINE = 200;
/** Beside each other: what the package does at once. */
const AT_ONCE = 4;

/**
 * Makes the server's own code small in memory: an engine keeps every text it read for as long as it
 * may compile from it, two bytes a character where one of them is beyond Latin-1, and the bundler
 * writes the same modules out many times under other names. So comments and blanks go, such characters
 * are escaped (not where they are looked for), and of files that are the same then one stays; the
 * others hand on what it holds.
 *
 * @returns bytes that one server may have to hold, if every file is read: before and after
 */
export async function lighten(folder) {
  const names = (await readdir(folder, { recursive: true }))
    .filter((name) => name.endsWith('.js'))
    .sort();
  const written = new Map();
  const left = [...names];
  let before = 0;
  const lane = async () => {
    for (let name = left.pop(); name; name = left.pop()) {
      const text = await readFile(join(folder, name), 'utf8');
      const { code } = await transform(text, {
        charset: 'ascii',
        legalComments: 'none',
        // The names stay, so a fault's stack says where it was.
        minifyWhitespace: true,
        lineLimit: LINE,
        target: 'node20',
      });
      before += inMemory(text);
      written.set(name, code);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, lane));
  const first = new Map();
  let after = 0;
  for (const name of names) {
    const code = written.get(name);
    const same = HOLDS_MODULES.test(code) ? first.get(code) : undefined;
    if (same === undefined) first.set(code, name);
    const kept = same === undefined ? code : handsOn(name, same);
    after += inMemory(kept);
    await writeFile(join(folder, name), kept);
  }
  return { before, after };
}

function handsOn(name, same) {
  const path = relative(dirname(name), same).split(sep).join('/');
  return `module.exports = require(${JSON.stringify(`./${path}`)});\n`;
}

/** Bytes an engine needs for a text. */
function inMemory(text) {
  return /[^\u0000-\u00ff]/.test(text) ? 2 * text.length : text.length;
}
