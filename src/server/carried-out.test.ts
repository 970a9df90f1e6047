import { ENGLISH } from '@/catalogue';
import { carriedOut } from './carried-out';
import { type LogFacts, logError } from './log';
import { Problem } from './problem';

const OWN = 'https://clinic.example';
const head = (values: Readonly<Record<string, string>>) => ({
  get: (name: string) => values[name] ?? null,
});
const sent = (values: Readonly<Record<string, string>> = { origin: OWN }, left = false) => ({
  head: head(values),
  path: '/api/v1/somewhere',
  own: OWN,
  hasLeft: () => left,
});
const english = () => ENGLISH;

jest.mock('./log');
const logged = jest.mocked(logError);
beforeEach(() => logged.mockClear());

describe('where a write comes from', () => {
  const from = async (values: Readonly<Record<string, string>>) => {
    const work = jest.fn(() => Promise.resolve('kept'));
    const answer = await carriedOut(sent(values), work, english);
    expect(work).toHaveBeenCalledTimes('done' in answer ? 1 : 0);
    return 'done' in answer ? 0 : answer.refused.status;
  };

  it('is one of our own pages, as the browser says by either head', async () => {
    expect(await from({ origin: OWN })).toBe(0);
    expect(await from({ 'sec-fetch-site': 'same-origin' })).toBe(0);
    // Behind a proxy that does not pass on the name it is asked by.
    expect(await from({ origin: 'http://localhost:3000', 'sec-fetch-site': 'same-origin' })).toBe(
      0,
    );
    expect(await from({ origin: OWN, 'sec-fetch-site': 'cross-site' })).toBe(0);
  });

  it('is refused of any other, and where nothing says it', async () => {
    expect(await from({})).toBe(403);
    expect(await from({ origin: 'null' })).toBe(403);
    expect(await from({ origin: `${OWN}.evil.example` })).toBe(403);
    for (const site of ['cross-site', 'same-site', 'none'])
      expect([site, await from({ 'sec-fetch-site': site })]).toEqual([site, 403]);
  });
});

describe('what becomes of a write', () => {
  const language = jest.fn(english);
  const failing = (error: Error, left = false) =>
    carriedOut(sent(undefined, left), () => Promise.reject(error), language);
  beforeEach(() => language.mockClear());

  it('is what its work gave, and nobody is asked for a language', async () => {
    expect(await carriedOut(sent(), () => Promise.resolve(0), language)).toEqual({ done: 0 });
    expect(language).not.toHaveBeenCalled();
  });

  it('is a refusal with its place and its numbers, of which no log knows', async () => {
    const problem = new Problem(409, 'Somebody was first.', ['lines', 2], { number: 4 });
    expect(await failing(problem)).toEqual({
      refused: {
        status: 409,
        body: { ok: false, say: 'Somebody was first.', at: ['lines', 2], details: { number: 4 } },
      },
    });
    expect(language).toHaveBeenCalledTimes(1);
    expect(logged).not.toHaveBeenCalled();
  });

  it('is a sentence without its insides where the fault is ours, and a line in the log', async () => {
    const answer = await failing(new TypeError('Ansel’s pain was 7'));
    expect(answer).toMatchObject({ refused: { status: 500, body: { ok: false } } });
    expect(logged).toHaveBeenCalledTimes(1);
    const line: LogFacts | undefined = logged.mock.calls[0]?.[0];
    expect(line).toMatchObject({ where: '/api/v1/somewhere', failure: 'TypeError' });
    expect(JSON.stringify([answer, line])).not.toContain('Ansel');
  });

  it('is told to nobody who has left, since then nothing went wrong', async () => {
    await failing(new Error('aborted'), true);
    expect(logged).not.toHaveBeenCalled();
  });
});
