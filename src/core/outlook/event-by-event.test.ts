import { SHIPPED } from '@/catalogue';
import { recordCase } from '../../../tests/support/record-cases';
import { drawnCases } from '../../../tests/support/worked';
import { NO_REPORT } from '../history';
import { type LocalDate, addDays } from '../units';
import { type FollowRecord, courseOf, judgedVersion, outlook } from '.';

/**
 * What was found of a record is kept for its next event. However it goes on, the outlook is that of a
 * record that nobody has seen before.
 */
const LIMITS = { goodSessions: 3, leastRungDays: 7 };
const CASES = drawnCases(recordCase, process.env.EVERY_CASE ? 12 : 4, 91);

/** The same record with no object that anything is known of. */
const unseen = (record: FollowRecord): FollowRecord => structuredClone(record);

function upTo(record: FollowRecord, last: LocalDate): FollowRecord {
  const before = <T>(days: ReadonlyMap<LocalDate, T>) =>
    new Map([...days].filter(([date]) => date <= last));
  return {
    ...record,
    facts: { ...record.facts, done: before(record.facts.done), today: last },
    reports: before(record.reports),
  };
}

const said = (record: FollowRecord) => JSON.stringify(outlook(record, SHIPPED, LIMITS));

it('day by day', () => {
  for (const { record } of CASES)
    for (const date of [...record.facts.done.keys()].sort()) {
      const now = upTo(record, date);
      expect(said(now)).toBe(said(unseen(now)));
    }
});

it('where one day, its morning or its stop is told anew', () => {
  for (const { record } of CASES) {
    said(record);
    const dates = [...record.facts.done.keys()].sort();
    const changes: FollowRecord[] = dates.flatMap((date) => {
      const done = record.facts.done.get(date);
      if (!done) return [];
      const sessions = done.sessions.map((one) => ({ ...one, pain: 6, effort: 9 }));
      const morning = addDays(date, 1);
      const report = { ...(record.reports.get(morning) ?? NO_REPORT), soreness: 'flare' as const };
      return [
        {
          ...record,
          facts: {
            ...record.facts,
            done: new Map(record.facts.done).set(date, { ...done, sessions }),
          },
        },
        { ...record, reports: new Map(record.reports).set(morning, report) },
        {
          ...record,
          facts: {
            ...record.facts,
            pauses: [{ from: date, to: null, cause: 'symptom', reason: '' } as never],
          },
        },
      ];
    });
    for (const now of changes) expect(said(now)).toBe(said(unseen(now)));
    // And back again.
    expect(said(record)).toBe(said(unseen(record)));
  }
});

it('the course of a line that nothing was told of stays the very same', () => {
  const [{ record } = { record: null }] = CASES;
  const line = record && judgedVersion(record)?.lines[0];
  if (!line) throw new Error('no line');
  const before = courseOf(record, line, SHIPPED.byId).course;
  const [date, done] = [...record.facts.done].at(-1) ?? [];
  if (!date || !done) throw new Error('nothing done');
  const again = new Map(record.facts.done).set(date, structuredClone(done));
  const now = { ...record, facts: { ...record.facts, done: again } };
  expect(courseOf(now, line, SHIPPED.byId).course).toBe(before);
});

it('a course is found anew with another version, another decision, another beginning of care', () => {
  for (const { record } of CASES) {
    const version = judgedVersion(record);
    for (const line of version?.lines ?? []) {
      const of = (one: FollowRecord) => {
        const { course, lineages } = courseOf(one, line, SHIPPED.byId);
        return JSON.stringify([course, [...lineages]]);
      };
      const before = of(record);
      const changes: FollowRecord[] = [
        { ...record, facts: { ...record.facts, versions: record.facts.versions.slice(-1) } },
        { ...record, episodeFrom: version?.effectiveFrom ?? null },
        { ...record, decisions: [] },
      ];
      for (const now of changes) {
        const alone = structuredClone({ now, line });
        const [again, anew] = [of(now), courseOf(alone.now, alone.line, SHIPPED.byId)];
        expect(again).toBe(JSON.stringify([anew.course, [...anew.lineages]]));
      }
      expect(of(record)).toBe(before);
    }
  }
});
