import { NextResponse } from 'next/server';
import { ENGLISH } from '@/catalogue';
import { SHIPPED_LANGUAGES } from '@/catalogue/shipped-languages';
import { Unreadable } from '@/db';
import { logError } from './log';
import { NOT_SIGNED_IN, Problem } from './problem';
import { readAnswer } from './read-answer';

jest.mock('./log');
const logged = jest.mocked(logError);
afterEach(() => logged.mockClear());

async function refusedWith(error: Error, language = ENGLISH) {
  const answer = await readAnswer(
    'a picture',
    () => Promise.reject(error),
    () => language,
  );
  return { status: answer.status, headers: answer.headers, body: (await answer.json()) as unknown };
}

test('What the work answers is the answer, and the language is not asked for', async () => {
  const answer = new NextResponse('picture');
  const language = jest.fn();
  expect(await readAnswer('a picture', () => Promise.resolve(answer), language)).toBe(answer);
  expect(language).not.toHaveBeenCalled();
  expect(logged).not.toHaveBeenCalled();
});

test('A refusal is its sentence with its status, kept nowhere, and no fault of ours', async () => {
  const { status, headers, body } = await refusedWith(new Problem(401, NOT_SIGNED_IN));
  expect({ status, body }).toEqual({ status: 401, body: { ok: false, say: NOT_SIGNED_IN } });
  expect(headers.get('cache-control')).toBe('private, no-store');
  expect(headers.get('x-content-type-options')).toBe('nosniff');
  expect(logged).not.toHaveBeenCalled();
});

test('What nobody refused is said without its insides, and is in the log', async () => {
  const { status, body } = await refusedWith(new TypeError('insides'));
  expect(status).toBe(500);
  expect(JSON.stringify(body)).not.toContain('insides');
  expect(logged).toHaveBeenCalledWith(
    expect.objectContaining({ where: 'a picture', failure: 'TypeError' }),
  );
});

test('A record that cannot be read is refused with its sentence, and is in the log as well', async () => {
  const unreadable = new Unreadable('a photo', null);
  expect(await refusedWith(unreadable)).toMatchObject({ status: 409 });
  expect(logged).toHaveBeenCalledTimes(1);
});

test.each(SHIPPED_LANGUAGES)('Who reads $tag is refused in it', async (language) => {
  const { body } = await refusedWith(new Problem(401, NOT_SIGNED_IN), language);
  expect(body).toEqual({ ok: false, say: language.texts['problem.linkGone'] });
});
