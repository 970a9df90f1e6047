import { decision } from '../../../tests/support/follow-record';
import { type Decided, standingDecisions, waitingIn } from '.';

describe('decisions', () => {
  const said = (key: string, word: Decided['decision'], more: Partial<Decided> = {}) =>
    decision({
      key,
      lineage: `line of ${key}`,
      version: 2,
      decision: word,
      toDose: 'x10',
      ...more,
    });
  it('stand by their last word for the version they are about', () => {
    const decisions = [
      said('a', 'taken back'),
      said('a', 'accepted'),
      said('b', 'declined'),
      said('c', 'accepted'),
      { ...said('d', 'accepted'), version: 1 },
    ];
    expect(standingDecisions(decisions, 2).map(({ key }) => key)).toEqual(['b', 'c']);
    expect(waitingIn({ decisions }, 2).map(({ key }) => key)).toEqual(['c']);
  });
  it('wait for no version where they change no dose', () => {
    const rest = said('rest', 'accepted', { move: 'rest day', toDose: null });
    const stop = said('stop', 'accepted', { move: 'stop', toDose: null });
    expect(waitingIn({ decisions: [rest, stop] }, 2).map(({ key }) => key)).toEqual(['stop']);
  });
  it('wait by a line’s newest word alone', () => {
    const newer = { ...said('newer', 'declined'), lineage: 'same' };
    const older = { ...said('older', 'edited'), lineage: 'same' };
    expect(waitingIn({ decisions: [newer, older] }, 2)).toEqual([]);
    expect(waitingIn({ decisions: [older, newer] }, 2).map(({ key }) => key)).toEqual(['older']);
  });
});
