import { z } from 'zod';
import { Problem } from './problem';
import { checkIsRecord, checkOrigin, recordOf, tooLarge } from './sent';

const OWN = 'https://clinic.example';
const head = (values: Readonly<Record<string, string>>) => ({
  get: (name: string) => values[name] ?? null,
});
/** The status of the refusal; 0 where there was none. */
function statusOf(work: () => unknown): number {
  try {
    work();
    return 0;
  } catch (error) {
    return error instanceof Problem ? error.status : -1;
  }
}

describe('where a write comes from', () => {
  const from = (values: Readonly<Record<string, string>>) =>
    statusOf(() => checkOrigin(head(values), OWN));

  it('is one of our own pages, as the browser says by either head', () => {
    expect(from({ origin: OWN })).toBe(0);
    expect(from({ 'sec-fetch-site': 'same-origin' })).toBe(0);
    // Behind a proxy that does not pass on the name it is asked by.
    expect(from({ origin: 'http://localhost:3000', 'sec-fetch-site': 'same-origin' })).toBe(0);
    expect(from({ origin: OWN, 'sec-fetch-site': 'cross-site' })).toBe(0);
  });

  it('is refused of any other, and where nothing says it', () => {
    expect(from({})).toBe(403);
    expect(from({ origin: 'null' })).toBe(403);
    expect(from({ origin: `${OWN}.evil.example` })).toBe(403);
    for (const site of ['cross-site', 'same-site', 'none'])
      expect([site, from({ 'sec-fetch-site': site })]).toEqual([site, 403]);
  });
});

describe('what is said of a record before it is read', () => {
  const said = (values: Readonly<Record<string, string>>, limit = 100) =>
    statusOf(() => checkIsRecord(head(values), limit));

  it('is JSON, of no more bytes than it may have', () => {
    const type = 'application/json; charset=utf-8';
    expect(said({ 'content-type': type, 'content-length': '100' })).toBe(0);
    expect(said({ 'content-type': type })).toBe(0);
    expect(said({ 'content-type': type, 'content-length': '101' })).toBe(413);
    expect(said({ 'content-type': 'text/plain' })).toBe(415);
    expect(said({})).toBe(415);
  });

  it('names the most that it may be', () => {
    expect(tooLarge(64 * 1024).say).toBe('This is too large (at most 64 kB). Nothing was saved.');
    expect(tooLarge(1024 * 1024).say).toContain('at most 1024 kB');
  });
});

describe('a record', () => {
  const Schema = z.object({ lines: z.array(z.object({ dose: z.string().max(5, 'Too long.') })) });
  const read = (text: string) => recordOf(Schema, Buffer.from(text));
  const refusal = (text: string): Problem => {
    try {
      read(text);
    } catch (error) {
      if (error instanceof Problem) return error;
    }
    throw new Error('was not refused');
  };

  it('is read as it was sent', () => {
    expect(read('{"lines":[{"dose":"10×5"}]}')).toEqual({ lines: [{ dose: '10×5' }] });
  });

  it('loses the character at which the database would end a text, and nothing else', () => {
    expect(read(String.raw`{"lines":[{"dose":"a\u0000b"}]}`)).toEqual({ lines: [{ dose: 'ab' }] });
    expect(read(String.raw`{"lines":[{"dose":"\\u00"}]}`)).toEqual({
      lines: [{ dose: String.raw`\u00` }],
    });
  });

  it('is refused with the place of what is wrong, and the sentence of its rule', () => {
    const { status, say, at } = refusal('{"lines":[{"dose":"x"},{"dose":"too long"}]}');
    expect([status, say, at]).toEqual([400, 'Too long.', ['lines', 1, 'dose']]);
  });

  it('is refused where it is no JSON at all', () => {
    for (const text of ['', '{', 'null,', '<html>'])
      expect([text, refusal(text).status, refusal(text).say]).toEqual([
        text,
        400,
        'What was sent could not be read. Nothing was saved; try again.',
      ]);
  });
});
