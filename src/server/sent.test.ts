import { z } from 'zod';
import { Problem } from './problem';
import { checkIsRecord, recordOf, tooLarge } from './sent';

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
