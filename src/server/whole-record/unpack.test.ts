import { randomUUID } from 'node:crypto';
import { zipSync } from 'fflate';
import { UNPACKED_LIMITS, unpack } from './unpack';

/** A file's entry in the directory of a zip, and where its size stands in it. */
const ENTRY = 0x02014b50;
const SIZE_AT = 24;

/** A zip whose files lie about how large they are. */
function lying(names: readonly string[], size: number): Uint8Array {
  const zip = zipSync(Object.fromEntries(names.map((name) => [name, new Uint8Array(1)])), {
    level: 0,
  });
  const view = new DataView(zip.buffer, zip.byteOffset, zip.byteLength);
  for (let at = 0; at + SIZE_AT + 4 <= zip.length; at += 1)
    if (view.getUint32(at, true) === ENTRY) view.setUint32(at + SIZE_AT, size, true);
  return zip;
}
const papers = (count: number) => Array.from({ length: count }, () => `papers/${randomUUID()}.pdf`);
const problemsOf = (bytes: Uint8Array) => {
  const read = unpack(bytes);
  return read.ok ? [] : read.problems;
};
const MORE = 'This zip holds more than a record does.';
const NO_RECORD = 'There is no record.json in this zip.';

describe('a zip of a record', () => {
  const { paper, pictures, files } = UNPACKED_LIMITS;
  const most = Math.floor(pictures / paper);

  it('holds papers and photos up to a bound of them all, by what they say they are', () => {
    expect(problemsOf(lying(papers(most), paper))).toEqual([NO_RECORD]);
    expect(problemsOf(lying(papers(most + 1), paper))).toEqual([MORE]);
  });

  it('holds no paper beyond its own bound', () => {
    expect(problemsOf(lying(papers(1), paper + 1))).toEqual([MORE]);
  });

  it('is looked through up to a bound, whatever is in it', () => {
    const other = (count: number) => Array.from({ length: count }, (_, nth) => `other/${nth}`);
    expect(problemsOf(lying(other(files), 1))).toEqual([NO_RECORD]);
    expect(problemsOf(lying(other(files + 1), 1))).toEqual([MORE]);
  });

  it('is told from what is none', () => {
    expect(problemsOf(new Uint8Array([0x50, 0x4b, 1, 2, 3]))).toEqual([
      'This zip cannot be read: it is cut short or damaged.',
    ]);
    expect(problemsOf(new Uint8Array([1, 2, 3]))).toEqual([
      'This is not a whole record: it is neither a zip nor JSON.',
    ]);
  });
});
