import { readFile, readdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';

const compress = promisify(brotliCompress);

/** What words are made of; letters and pictures are small already. */
const SQUEEZED = /\.(js|css|svg|json)$/;
/** Smaller files are sent as they are, bytes. */
const LEAST_BYTES = 1024;
/** Beside each other: what zlib's threads do at once. */
const AT_ONCE = 4;

/** Writes each file of a folder that is worth it once more beside it, as small as it can be made (`.br`). */
export async function squeeze(folder) {
  const names = await readdir(folder, { recursive: true });
  const left = names.filter((name) => SQUEEZED.test(name));
  const lane = async () => {
    for (let name = left.pop(); name; name = left.pop()) {
      const path = join(folder, name);
      const plain = await readFile(path);
      if (plain.length < LEAST_BYTES) continue;
      const params = {
        [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY,
        [constants.BROTLI_PARAM_SIZE_HINT]: plain.length,
      };
      const small = await compress(plain, { params });
      if (small.length < plain.length) await writeFile(`${path}.br`, small);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, lane));
}
