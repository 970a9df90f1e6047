import { localDate } from '../units';
import {
  SCREENED,
  type StandingFacts,
  UNSCREENED,
  blocksPrescribing,
  isMissing,
  standingOf,
  standsFor,
} from '.';

const TODAY = localDate('2026-11-28');
const confirmed = {
  outcome: 'go' as const,
  on: TODAY,
  at: 100,
  episodeId: 'now' as StandingFacts['episodeId'],
};
const standing = (change: Partial<StandingFacts>) =>
  standingOf({
    confirmed: null,
    waiting: null,
    reasonAt: null,
    dangerAt: null,
    episodeId: confirmed.episodeId,
    openedOn: TODAY,
    today: TODAY,
    lastsDays: 90,
    ...change,
  });

describe('where a screening stands', () => {
  it.each<[string, Partial<StandingFacts>]>([
    ['none', {}],
    ['current', { confirmed }],
    ['current', { confirmed: { ...confirmed, outcome: 'refer' } }],
    ['unfinished', { waiting: { outcome: 'unfinished' } }],
    ['unfinished', { confirmed: { ...confirmed, outcome: 'unfinished' } }],
    ['waiting', { waiting: { outcome: 'go' } }],
    // The patient's newer answers that worry nobody wait beside a screening that stands.
    ['current', { confirmed, waiting: { outcome: 'unfinished' } }],
    ['current', { confirmed, waiting: { outcome: 'precautions' } }],
    ['waiting', { confirmed, waiting: { outcome: 'refer' } }],
    ['new episode', { confirmed: { ...confirmed, episodeId: null } }],
    // A screening is of the whole person: taken since the newest complaint came, it is of that one too.
    [
      'current',
      { confirmed: { ...confirmed, episodeId: null }, openedOn: localDate('2026-11-27') },
    ],
    ['new episode', { confirmed: { ...confirmed, episodeId: null }, openedOn: null }],
    ['danger since', { confirmed, dangerAt: 101 }],
    ['current', { confirmed, dangerAt: 100 }],
    ['current', { confirmed: { ...confirmed, on: localDate('2026-08-30') } }],
    ['old', { confirmed: { ...confirmed, on: localDate('2026-08-29') } }],
    ['old', { confirmed: { ...confirmed, on: localDate('2026-11-26') }, lastsDays: 1 }],
  ])('%s with %j', (expected, facts) => {
    expect(standing(facts)).toBe(expected);
  });

  it.each<[string, Partial<StandingFacts>]>([
    ['on paper', {}],
    ['on paper', { confirmed: { ...confirmed, episodeId: null } }],
    ['on paper', { dangerAt: 50 }],
    ['danger since', { dangerAt: 51 }],
    ['waiting', { waiting: { outcome: 'emergency' } }],
    ['unfinished', { waiting: { outcome: 'unfinished' } }],
    ['old', { confirmed: { ...confirmed, on: localDate('2026-01-01') } }],
    ['danger since', { confirmed, dangerAt: 101 }],
  ])('a written reason leaves it %s with %j', (expected, facts) => {
    expect(standing({ reasonAt: 50, ...facts })).toBe(expected);
  });

  it('lets nothing be sent but on a screening, or on a reason for a missing one', () => {
    expect(SCREENED.filter(standsFor)).toEqual(['current', 'on paper']);
    expect(SCREENED.filter(isMissing)).toEqual(['none', 'new episode']);
    for (const one of SCREENED) if (!standsFor(one)) expect(UNSCREENED[one]).toMatch(/[Ss]creen/);
    expect(blocksPrescribing('refer')).toBe(true);
  });
});
