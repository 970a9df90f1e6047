import { FIRST } from '../../../tests/support/programme-cases';
import { recordCase } from '../../../tests/support/record-cases';
import { asLine, drawnCases, rounded } from '../../../tests/support/worked';
import type { Zone } from '../schedule';
import { HOUR_MS, addDays, localDate } from '../units';
import { type PackFacts, type PackPause, packDays, shareOfDay } from './pack-days';
import { type PackDay, dateByPack } from './patient-pack';

const CASES = drawnCases(recordCase, 14, 61).map(({ record, today }): PackFacts => ({
  ...record.facts,
  today,
  pauses: [],
}));
const [one] = CASES;
if (!one) throw new Error('no case');
const at = () => new Map([['session-1', 480]]);
const on = (days: number) => addDays(one.today, days);
const pause = (cause: PackPause['cause'], from: number, to: number | null): PackPause => ({
  cause,
  fromDate: on(from),
  toDate: to === null ? null : on(to),
});
const pausedDays = (...pauses: PackPause[]) =>
  packDays({ ...one, pauses }, at).days.map(({ paused }) => paused);

describe('the days a phone carries', () => {
  it('are today and the week after it, each session naming its lines by place', () => {
    for (const facts of CASES) {
      const { lines, days } = packDays(facts, at);
      expect(days.map(({ date }) => date)).toEqual(
        Array.from({ length: 8 }, (_, ahead) => addDays(facts.today, ahead)),
      );
      for (const { sessions, extra } of days)
        for (const session of [...sessions, ...(extra ? [extra] : [])])
          for (const place of session.lines) expect(lines[place]).toBeDefined();
    }
  });

  it('end at midnight with the patient, also where clocks are changed', () => {
    const ends = (today: string, zone: string) =>
      packDays({ ...one, today: localDate(today), zone: zone as Zone }, at).days.map(
        ({ until = 0 }) => until,
      );
    const inHours = (moments: readonly number[]) =>
      moments.slice(1).map((moment, place) => (moment - (moments[place] ?? 0)) / HOUR_MS);
    expect(new Date(ends('2026-11-25', 'Europe/Lisbon')[0] ?? 0).toISOString()).toBe(
      '2026-11-26T00:00:00.000Z',
    );
    expect(new Date(ends('2026-11-25', 'Asia/Kolkata')[0] ?? 0).toISOString()).toBe(
      '2026-11-25T18:30:00.000Z',
    );
    expect(inHours(ends('2026-10-24', 'Europe/Lisbon'))).toEqual([25, 24, 24, 24, 24, 24, 24]);
    expect(inHours(ends('2026-03-27', 'Europe/Lisbon'))).toEqual([24, 23, 24, 24, 24, 24, 24]);
    // Here the clocks go on at midnight: that day begins at one.
    expect(new Date(ends('2026-09-05', 'America/Santiago')[0] ?? 0).toISOString()).toBe(
      '2026-09-06T04:00:00.000Z',
    );
  });

  it('say which of them it is, between when the pack was made and the last one’s end', () => {
    const [first, ...later] = packDays({ ...one, zone: 'Europe/Lisbon' as Zone }, at).days.map(
      ({ date, until }) => ({ date, ...(until === undefined ? {} : { until }) }) as PackDay,
    );
    if (!first?.until) throw new Error('no day');
    const pack = { at: first.until - 5 * HOUR_MS, days: [first, ...later] as const };
    expect(dateByPack(pack, pack.at - 1)).toBeNull();
    expect(dateByPack(pack, pack.at)).toBe(one.today);
    expect(dateByPack(pack, first.until - 1)).toBe(one.today);
    expect(dateByPack(pack, first.until)).toBe(on(1));
    const last = later.at(-1)?.until ?? 0;
    expect(dateByPack(pack, last - 1)).toBe(on(7));
    expect(dateByPack(pack, last)).toBeNull();
    const before = { date: first.date } as PackDay;
    expect(dateByPack({ ...pack, days: [before, ...later] }, pack.at)).toBeNull();
  });

  it('tell of sessions done today only', () => {
    const done = CASES.flatMap((facts) => packDays(facts, at).days.slice(1))
      .flatMap(({ sessions }) => sessions)
      .filter((session) => session.done);
    expect(done).toEqual([]);
  });

  it('are paused by whom it was, an open stop before everything', () => {
    expect(pausedDays().every((paused) => paused === 'no')).toBe(true);
    expect(pausedDays(pause('patient', 1, 2)).slice(0, 4)).toEqual([
      'no',
      'by you',
      'by you',
      'no',
    ]);
    expect(pausedDays(pause('clinician', 2, null)).slice(0, 4)).toEqual([
      'no',
      'no',
      'by the clinic',
      'by the clinic',
    ]);
    expect(new Set(pausedDays(pause('patient', 3, 4), pause('stop', -3, null)))).toEqual(
      new Set(['after a stop']),
    );
    expect(pausedDays(pause('stop', 0, 0)).slice(0, 2)).toEqual(['by the clinic', 'no']);
  });

  it('show no session while paused, and say why nothing is due', () => {
    const { days } = packDays({ ...one, pauses: [pause('clinician', 0, null)] }, at);
    expect(days.flatMap(({ sessions, extra }) => [...sessions, ...(extra ? [extra] : [])])).toEqual(
      [],
    );
    const rest = (facts: PackFacts) => packDays(facts, at).days[0].rest;
    expect(rest({ ...one, versions: [] })).toEqual({ kind: 'no programme' });
    const before = { ...one, today: addDays(FIRST, -3) };
    expect(rest(before)).toEqual({ kind: 'begins', on: FIRST });
    expect(rest(one)).toEqual({ kind: 'rest day' });
  });

  it('are as they were for whole records', () => {
    expect(
      CASES.map((facts) => {
        const { lines, days } = packDays(facts, at);
        return asLine(
          lines.map((line) => [line.text, rounded(shareOfDay(line, facts))]),
          days.map(({ programme, sessions, extra, rest }) =>
            asLine(
              programme?.version,
              sessions
                .slice(0, 3)
                .map(({ key, slot, lines: places, time, done, at: minute }) => [
                  key,
                  slot?.kind,
                  places,
                  time,
                  done,
                  minute,
                ]),
              sessions.length,
              extra?.lines ?? null,
              rest.kind,
            ),
          ),
        );
      }),
    ).toMatchSnapshot();
  });
});
