import type { LogFacts } from './log';
import { AlreadyThere, DatabaseFailure, GuardRefused } from '@/db';
import { Unreadable } from '@/db/unreadable';
import {
  NOT_ALLOWED,
  Problem,
  SCREENING_BLOCKS,
  asProblem,
  logFailure,
  unreadableIn,
} from './problem';

describe('what a person is told of a failure', () => {
  it.each([
    [new GuardRefused('access'), 403, NOT_ALLOWED, []],
    [new GuardRefused('version'), 409, 'Somebody saved another version in the meantime', []],
    [new GuardRefused('day'), 409, 'has already begun today’s session', ['effectiveFrom']],
    [new GuardRefused('empty'), 409, 'has been set up already', []],
    [new GuardRefused('screening'), 409, SCREENING_BLOCKS, []],
    [new GuardRefused('screened'), 409, 'that the screening has not seen', []],
    [new GuardRefused('room'), 409, 'There are three photos of this set-up already', []],
    [new GuardRefused('consent'), 409, 'The consent was taken back', []],
    [new GuardRefused('offered'), 409, 'has changed in the meantime', []],
    [new GuardRefused('triage'), 409, 'has changed in the meantime', []],
    [new GuardRefused('other'), 409, 'has changed in the meantime', []],
    [new AlreadyThere(), 409, 'This is there already.', []],
    [new DatabaseFailure('busy', 'SQLITE_BUSY'), 503, 'wait a moment and try again', []],
    [new DatabaseFailure('broken' as never, 'SQLITE_CORRUPT'), 503, 'cannot be reached', []],
    [new Error('planted words'), 500, 'Something went wrong on our side', []],
    ['planted words', 500, 'Something went wrong on our side', []],
  ])('by kind: row %#', (error, status, say, at) => {
    const problem = asProblem(error);
    expect([problem.status, problem.at]).toEqual([status, at]);
    expect(problem.say).toContain(say);
    expect(problem.say).not.toContain('planted');
  });

  it('is what was said, where it was said', () => {
    const said = new Problem(429, 'Wait.', ['password'], { seconds: 3 });
    expect(asProblem(said)).toBe(said);
    expect([said.message, said.details]).toEqual(['problem 429', { seconds: 3 }]);
  });

  it('names an unreadable record, and no other failure as one', () => {
    const unreadable = new Unreadable('a measurement', 'id-1');
    expect(asProblem(unreadable)).toMatchObject({ status: 409, say: unreadable.say });
    expect(unreadable.say).toContain('a measurement (id-1)');
    expect(new Unreadable('a goal', null).say).toContain(': a goal. It is kept');
    expect(unreadableIn(unreadable)).toBe(unreadable.say);
    expect(unreadableIn(new Error('other'))).toBeNull();
  });
});

const lines: LogFacts[] = [];
jest.mock('./log', () => ({ logError: (facts: LogFacts) => lines.push(facts) }));

it('tells the log the kind and the place, never the words', () => {
  lines.length = 0;
  logFailure('events', new Error('planted words'));
  logFailure('events', new DatabaseFailure('busy', 'SQLITE_BUSY'));
  logFailure('/patients/3f2a9c1e-0000-4000-8000-000000000000', 'planted words');
  expect(lines[0]).toMatchObject({
    where: 'events',
    failure: 'Error',
    place: expect.stringContaining('problem.test.ts') as string,
  });
  expect(lines[1]).toMatchObject({ database: 'busy SQLITE_BUSY' });
  expect(lines[2]).toEqual({ where: '/patients/:id', failure: 'string', place: '' });
  expect(JSON.stringify(lines)).not.toMatch(/planted|\/src\//);
});
