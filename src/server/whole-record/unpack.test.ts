import { randomUUID } from 'node:crypto';
import { zipSync } from 'fflate';
import { UNPACKED_LIMITS, unpack } from './unpack';

/** A file's entry in the directory of a zip, and where its size stands in it. */
const ENTRY = 0x02014b50;
const SIZE_AT = 24;
/** How long the head of a file in a zip is, before its name. */
const HEAD = 30;

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

  it('leaves packed what is none of a record, however it is: it may be of any size', () => {
    const other = new TextEncoder().encode('what somebody else put there '.repeat(200));
    const spoilt = (name: string) => {
      const zip = zipSync({ [name]: other }, { level: 9 });
      // Behind the head and the name stand the packed bytes: a block of a kind that there is not.
      zip[HEAD + name.length] = 0xff;
      return problemsOf(zip);
    };
    expect(spoilt('other.bin')).toEqual([NO_RECORD]);
    expect(spoilt('record.json')).toEqual(['This zip cannot be read: it is cut short or damaged.']);
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
