import { NO_REPORT, NOTHING_DONE, withTarget } from '../history';
import { parseDose, doseOf } from '../dose';
import { type Instant, type WallMinute, type Zone, instantAt } from '../schedule';
import { TRIAGE_LIMITS } from '../triage';
import { addDays, localDate } from '../units';
import {
  type MorningContext,
  type MorningEvent,
  type MorningFacts,
  TRIAGE_DAYS,
  morningRow,
  plateauWeeks,
  rowHoldsUntil,
  silentDays,
  triageFacts,
  withEvent,
} from '.';

const TODAY = localDate('2026-11-25');
const ZONE = 'Europe/Lisbon' as Zone;
const HOUR_MS = 3_600_000;
const NOW = instantAt(ZONE, TODAY, 480 as WallMinute);
const on = (days: number) => addDays(TODAY, days);

const dose = parseDose('10x10s');
if (!dose.ok) throw new Error(dose.say);
const line = {
  ...withTarget(
    { lineage: 'tuck', anchor: on(-60), dose: dose.value, mode: 'held', position: 'lying' },
    1,
  ),
  exerciseId: 'tuck-lying',
  exercise: {
    name: 'Tuck',
    position: 'lying' as const,
    mode: 'held' as const,
    steps: [],
    cues: [],
    props: [],
  },
  text: '10x10s',
  school: null,
  session: null,
  overrides: [],
  setUp: [],
};
const version = (number: number, from: number) => ({
  number,
  effectiveFrom: on(from),
  reviewOn: null,
  rounds: 1,
  programmeId: 'programme',
  reason: '',
  authorId: 'member',
  createdAt: 0,
  lines: [line],
});

const FACTS: MorningFacts = {
  record: {
    facts: {
      today: TODAY,
      zone: ZONE,
      waking: { wake: 420 as WallMinute, sleep: 1320 as WallMinute },
      versions: [version(1, -60)],
      pauses: [],
      done: new Map(),
    },
    reports: new Map(),
    precautions: [],
    screenedOn: on(-5),
    home: null,
    faults: new Map(),
    decisions: [],
    deficitSince: null,
    episodeFrom: null,
    improved: new Map(),
    stepSlides: false,
  },
  complaint: 'Neck',
  closed: false,
  alerts: [],
  openReferrals: [],
  link: null,
  mark: null,
  lastSession: null,
  lastPain: null,
};
const context: MorningContext = {
  limits: TRIAGE_LIMITS,
  screeningDays: 90,
  catalogue: { all: [], byId: () => null },
  now: NOW,
};
const after = (...events: MorningEvent[]) => events.reduce(withEvent, FACTS);
const folded = (days: number, pain: number | null, worst: number | null = null): MorningEvent => ({
  type: 'day folded',
  date: on(days),
  done: NOTHING_DONE,
  pain,
  report: { ...NO_REPORT, worst },
});
const alertOf = (hoursAgo: number, id = 'alert') =>
  ({
    id,
    kind: 'stopped for a symptom',
    createdAt: (NOW - hoursAgo * HOUR_MS) as Instant,
    escalatedAt: null,
  }) as const;

describe('one event brings the facts up to date', () => {
  it('leaves what it was given as it is', () => {
    const before = JSON.stringify(FACTS);
    after(folded(0, 3), { type: 'alert raised', alert: alertOf(1) }, { type: 'episode closed' });
    expect(JSON.stringify(FACTS)).toBe(before);
  });

  it('keeps the newest day heard of and the newest pain, whatever the order', () => {
    const events = [folded(-3, 5), folded(-1, null), folded(-2, 4)];
    for (const order of [events, [...events].reverse()]) {
      const facts = order.reduce(withEvent, FACTS);
      expect(facts.lastSession).toBe(on(-1));
      expect(facts.lastPain).toEqual({ date: on(-2), pain: 4 });
      expect(facts.record.reports.size).toBe(3);
    }
    expect(after(folded(-1, 5), folded(-1, 2)).lastPain).toEqual({ date: on(-1), pain: 2 });
  });

  it('raises an alert once, takes it, and keeps when it went to the lead', () => {
    const raised: MorningEvent = { type: 'alert raised', alert: alertOf(1) };
    expect(after(raised, raised).alerts).toHaveLength(1);
    expect(after(raised, { type: 'alert taken', id: 'other' }).alerts).toHaveLength(1);
    expect(after(raised, { type: 'alert taken', id: 'alert' }).alerts).toEqual([]);
    const escalated = (at: number): MorningEvent => ({
      type: 'alert escalated',
      id: 'alert',
      at: at as Instant,
    });
    expect(after(raised, escalated(1), escalated(2)).alerts[0]?.escalatedAt).toBe(1);
  });

  it('ends open pauses only', () => {
    const closed = { from: on(-9), to: on(-8) };
    const facts = after(
      { type: 'paused', pause: closed },
      { type: 'paused', pause: { from: on(-2), to: null } },
      { type: 'resumed', lastDay: on(-1) },
    );
    expect(facts.record.facts.pauses).toEqual([closed, { from: on(-2), to: on(-1) }]);
  });

  it('knows a link handed over, opened and revoked, and nothing of one that was never given', () => {
    const link = { createdAt: 1 as Instant, openedAt: null, revokedAt: null };
    const given: MorningEvent = { type: 'link handed over', link };
    const opened = (at: number): MorningEvent => ({ type: 'link opened', at: at as Instant });
    expect(after(opened(2)).link).toBeNull();
    expect(after(given, opened(2), opened(3)).link?.openedAt).toBe(2);
    const revoked = after(given, { type: 'link revoked', at: 4 as Instant });
    expect(revoked.link).toMatchObject({ openedAt: null, revokedAt: 4 });
  });

  it('keeps screening, referrals, decisions, teaching, home, nerves, marks and the episode', () => {
    const decision = {
      key: 'k',
      lineage: 'tuck',
      version: 1,
      decision: 'declined',
      move: 'advance hold',
      event: null,
      toDose: null,
      toExerciseId: null,
      localDate: TODAY,
    } as const;
    const mark = { kind: 'done', rule: 'silent', until: TODAY, reason: '' } as const;
    const facts = after(
      { type: 'screened', on: TODAY, precautions: ['latex'] },
      { type: 'referred', id: 'a' },
      { type: 'referred', id: 'b' },
      { type: 'answered', id: 'a' },
      { type: 'decided', decision },
      { type: 'decided', decision: { ...decision, key: 'newer' } },
      { type: 'nerves examined', deficitSince: TODAY },
      { type: 'step felt', stepSlides: true },
      { type: 'put aside', mark },
      { type: 'version sent', version: version(2, 1) },
      { type: 'episode closed' },
      { type: 'episode opened', complaint: 'Back' },
    );
    expect(facts.record).toMatchObject({
      screenedOn: TODAY,
      precautions: ['latex'],
      deficitSince: TODAY,
      stepSlides: true,
    });
    expect(facts.openReferrals).toEqual(['b']);
    expect(facts.record.decisions.map(({ key }) => key)).toEqual(['newer', 'k']);
    expect(facts.record.facts.versions.map(({ number }) => number)).toEqual([1, 2]);
    expect(facts).toMatchObject({ mark, complaint: 'Back', closed: false });
    expect(after({ type: 'episode closed' }).closed).toBe(true);
  });

  it('a new day lets go of what triage does not read any more', () => {
    const kept = after(folded(-TRIAGE_DAYS, 1), folded(-TRIAGE_DAYS + 1, 1), folded(0, 1), {
      type: 'day begun',
      today: on(1),
    });
    expect([...kept.record.reports.keys()]).toEqual([on(-TRIAGE_DAYS + 1), TODAY]);
    expect([...kept.record.facts.done.keys()]).toEqual([on(-TRIAGE_DAYS + 1), TODAY]);
    expect(kept.record.facts.today).toBe(on(1));
  });
});

describe('what triage reads', () => {
  it('counts silent days from the day after the last word, the first day counting as heard', () => {
    const silent = (lastHeard: number | null) =>
      silentDays(FACTS.record, lastHeard === null ? null : on(lastHeard));
    expect([silent(-4), silent(-1), silent(0)]).toEqual([3, 0, 0]);
    expect(silent(null)).toBe(60);
    const begins = (from: number) => ({
      facts: { ...FACTS.record.facts, versions: [version(1, from)] },
    });
    expect(silentDays(begins(-2), null)).toBe(2);
    expect(silentDays(begins(0), null)).toBe(0);
    expect(silentDays(begins(1), null)).toBeNull();
    expect(silentDays({ facts: { ...FACTS.record.facts, versions: [] } }, null)).toBeNull();
    // The very day after the last word is enough to have been silent on: this ends three days ago.
    const ended = { ...line, dose: doseOf('10x10s until 58 days') };
    const once = {
      facts: { ...FACTS.record.facts, versions: [{ ...version(1, -60), lines: [ended] }] },
    };
    expect([-5, -4, -3].map((heard) => silentDays(once, on(heard)))).toEqual([4, 3, 0]);
    // A word from before the programme began is none about it.
    expect(silentDays(begins(-2), on(-9))).toBe(2);
  });

  it('calls a course without change a plateau only where something is left to improve', () => {
    const told = (pain: number) =>
      Array.from({ length: 42 }, (_, day) => folded(-day, null, pain + (day % 2 ? 0.4 : -0.4)));
    const weeks = (pain: number, share: number | null = 0.9) =>
      plateauWeeks(told(pain).reduce(withEvent, FACTS).record, share, TRIAGE_LIMITS);
    expect(weeks(5)).toBe(TRIAGE_LIMITS.plateauWeeks);
    expect(weeks(1)).toBeNull();
    expect(weeks(5, null)).toBeNull();
    const young = told(5).reduce(withEvent, {
      ...FACTS,
      record: { ...FACTS.record, facts: { ...FACTS.record.facts, versions: [version(1, -20)] } },
    });
    expect(plateauWeeks(young.record, 0.9, TRIAGE_LIMITS)).toBeNull();
  });

  it('reads pains and flares of the clinic’s window alone', () => {
    const { painDays } = TRIAGE_LIMITS;
    const flare: MorningEvent = {
      type: 'day folded',
      date: on(-1),
      done: NOTHING_DONE,
      pain: null,
      report: { ...NO_REPORT, worst: 9, soreness: 'flare' },
    };
    const facts = triageFacts(
      after(flare, folded(1 - painDays, null, 8), folded(-painDays, null, 10)),
      context,
    );
    expect([...facts.pains].sort()).toEqual([8, 9]);
    expect(facts.flares).toBe(1);
  });

  it('asks after a link that lies unopened, and not for silence then', () => {
    const link = { createdAt: (NOW - 75 * HOUR_MS) as Instant, openedAt: null, revokedAt: null };
    const given = triageFacts(after({ type: 'link handed over', link }), context);
    expect(given).toMatchObject({ unopenedDays: 3, silentDays: null });
    const lainFor = (ms: number) =>
      triageFacts({ ...FACTS, link: { ...link, createdAt: (NOW - ms) as Instant } }, context);
    expect(lainFor(72 * HOUR_MS).unopenedDays).toBe(3);
    expect(lainFor(72 * HOUR_MS - 1).unopenedDays).toBe(2);
    for (const change of [{ openedAt: NOW }, { revokedAt: NOW }]) {
      const facts = triageFacts({ ...FACTS, link: { ...link, ...change } }, context);
      expect(facts.unopenedDays).toBeNull();
      expect(facts.silentDays).not.toBeNull();
    }
  });

  it('names the alert, its hours, and that nobody took it in time', () => {
    const { escalateHours } = TRIAGE_LIMITS;
    const alert = (hours: number) =>
      triageFacts({ ...FACTS, alerts: [alertOf(hours)] }, context).alert;
    expect(alert(escalateHours)).toMatchObject({ hoursOpen: escalateHours });
    expect(alert(escalateHours)?.say).not.toContain('lead');
    expect(alert(escalateHours + 0.1)?.say).toContain('lead');
    expect(triageFacts(FACTS, context).alert).toBeNull();
  });

  it.each([
    ['a pause that holds today', [{ from: on(-1), to: on(1) }], true],
    ['a pause that is over', [{ from: on(-3), to: on(-1) }], false],
    ['a pause that is still to come', [{ from: on(1), to: on(2) }], false],
    ['an open pause from tomorrow', [{ from: on(1), to: null }], true],
  ])('%s', (_name, pauses, paused) => {
    const facts = {
      ...FACTS,
      record: { ...FACTS.record, facts: { ...FACTS.record.facts, pauses } },
    };
    expect(triageFacts(facts, context).paused).toBe(paused);
  });

  it('tells an unscreened patient from one screened today', () => {
    const age = (screenedOn: typeof TODAY | null) =>
      triageFacts({ ...FACTS, record: { ...FACTS.record, screenedOn } }, context).screeningAge;
    expect([age(null), age(TODAY), age(on(-91))]).toEqual([null, 0, 91]);
  });
});

describe('a row', () => {
  it('is aside for the rule it was put aside for, to its last day, unless taken back', () => {
    const { rule } = morningRow(FACTS, context);
    const mark = { kind: 'snoozed', rule: rule ?? '', until: TODAY, reason: 'calls back' } as const;
    const aside = (change: object) =>
      morningRow({ ...FACTS, mark: { ...mark, ...change } }, context).aside;
    expect(aside({})).toEqual({ kind: 'snoozed', until: TODAY, reason: 'calls back' });
    expect(aside({ until: on(-1) })).toBeNull();
    expect(aside({ rule: 'another' })).toBeNull();
    expect(aside({ kind: 'back' })).toBeNull();
    expect(morningRow(FACTS, context).aside).toBeNull();
  });

  it('shows a fortnight, today the newest', () => {
    const { days } = morningRow(FACTS, context);
    expect(days).toHaveLength(14);
    expect(days.at(-1)?.date).toBe(TODAY);
  });

  it('holds until midnight, or until an alert goes to the lead', () => {
    const midnight = instantAt(ZONE, on(1), 0 as WallMinute);
    expect(rowHoldsUntil(FACTS, context)).toBe(midnight);
    const { escalateHours } = TRIAGE_LIMITS;
    const soon = alertOf(escalateHours - 1);
    expect(rowHoldsUntil({ ...FACTS, alerts: [soon] }, context)).toBe(NOW + HOUR_MS + 1);
    const gone = alertOf(escalateHours + 1, 'gone');
    expect(rowHoldsUntil({ ...FACTS, alerts: [gone] }, context)).toBe(midnight);
    expect(rowHoldsUntil({ ...FACTS, alerts: [gone, soon] }, context)).toBe(NOW + HOUR_MS + 1);
  });
});
