import { localDate } from '../units';
import { type OpenFacts, daySaid, doingInWords, openItems } from '.';

/** What the first view of a file says. */
const today = localDate('2026-11-29');

it.each([
  ['2026-11-29', 'today'],
  ['2026-11-28', 'yesterday'],
  ['2026-11-30', 'tomorrow'],
  ['2026-11-24', 'Tue 24 Nov'],
  ['2025-12-31', 'Wed 31 Dec 2025'],
])('%s is said: %s', (date, said) => {
  expect(daySaid(localDate(date), today)).toBe(said);
});

describe('doing', () => {
  const none = { daysDue: 0, share: null, sessionsDue: 0, sessionsDone: 0, extraSeconds: 0 };
  it.each([
    [none, 'Nothing was due in the last 14 days.'],
    [
      { ...none, daysDue: 14, share: 0, sessionsDue: 14 },
      'Nothing told of 14 sessions in the last 14 days.',
    ],
    [
      { ...none, daysDue: 1, share: 0, sessionsDue: 1 },
      'Nothing told of 1 session in the last 14 days.',
    ],
    [
      { ...none, daysDue: 14, share: 0.72, sessionsDue: 14, sessionsDone: 11 },
      'Did 11 of 14 sessions in the last 14 days: 72 % of the dose.',
    ],
    [{ ...none, sessionsDone: 2 }, 'Did 2 of 2 sessions in the last 14 days.'],
  ])('%j', (summary, said) => {
    expect(doingInWords(summary, 14)).toBe(said);
  });
});

describe('what is open', () => {
  const NOTHING: OpenFacts = {
    today,
    alerts: 0,
    answersWait: false,
    openReferrals: 0,
    unreadPapers: 0,
    proposals: 0,
    findings: 0,
    unsignedNote: false,
    unsignedTeaching: false,
    reviewOn: null,
    programme: true,
    linkOpened: true,
  };
  const said = (change: Partial<OpenFacts>) =>
    openItems({ ...NOTHING, ...change }).map(({ say, at }) => `${at}: ${say}`);

  it('is nothing where nothing is', () => {
    expect(said({})).toEqual([]);
    expect(said({ reviewOn: localDate('2026-11-30') })).toEqual([]);
  });

  it('says each with where it is dealt with, what cannot wait first', () => {
    expect(
      said({
        alerts: 1,
        answersWait: true,
        openReferrals: 2,
        proposals: 1,
        findings: 3,
        unsignedNote: true,
        unsignedTeaching: true,
        reviewOn: localDate('2026-11-27'),
        linkOpened: false,
      }),
    ).toEqual([
      'follow: 1 thing the phone told is not acknowledged',
      'screen: Screening answers wait to be confirmed',
      'screen: 2 referrals have no answer yet',
      'follow: 1 proposal waits for a decision',
      'review: The review was due Fri 27 Nov, 2 days ago',
      'measure: 3 findings are proposed',
      'note: A note is begun and not signed',
      'teach: A teaching is begun and not signed',
      'plan: The link was not opened on a phone',
    ]);
    expect(said({ reviewOn: today })).toEqual(['review: The review is due today']);
  });

  it('does not ask for a link before there is a programme', () => {
    expect(said({ programme: false, linkOpened: false })).toEqual([
      'plan: No programme is written',
    ]);
  });
});
