import { TODAY, courseIn, decision, on, session } from '../../../tests/support/follow-record';
import { NOTHING_DONE } from '../history';
import type { Decided } from '.';
import { decidedBefore } from './decided';

describe('what was decided before', () => {
  const course = courseIn({
    done: new Map([
      [on(-3), { ...NOTHING_DONE, sessions: [session({ pain: 8 })] }],
      [on(-1), { ...NOTHING_DONE, sessions: [session({ id: 'later', pain: 9 })] }],
    ]),
  }).course;
  const word = (more: Partial<Decided>) =>
    decision({
      decision: 'declined',
      move: 'step back',
      event: 'session session',
      toDose: null,
      localDate: on(-2),
      ...more,
    });
  const before = (...words: Decided[]) => decidedBefore(words, new Set(['tuck']), course);

  it('is what had happened, and nothing that came after it', () => {
    expect([...before(word({})).events]).toEqual(['session session']);
    expect([...before(word({ decision: 'taken back' }), word({})).events]).toEqual([]);
    expect([...before(word({ lineage: 'other' })).events]).toEqual([]);
  });
  it('of one from before events were kept, what happened before its day', () => {
    expect([...before(word({ event: null })).events]).toEqual(['session session']);
    expect([...before(word({ event: null, localDate: on(-3) })).events]).toEqual([]);
    expect([...before(word({ event: null, localDate: TODAY })).events]).toHaveLength(2);
  });
  it('of growth declined and questions asked, the day', () => {
    expect(before(word({ move: 'advance hold', event: 'e' }))).toMatchObject({
      declinedOn: on(-2),
      askedOn: null,
    });
    expect(before(word({ move: 'ask', decision: 'accepted', event: 'e' }))).toMatchObject({
      declinedOn: null,
      askedOn: on(-2),
    });
  });
});
