import fc from 'fast-check';
import type { SessionEventBody } from '../adherence';
import type { LocalDate } from '../units';
import { NO_REPORT, type ToldEvent, dayOfEvent, foldReport, worstPain } from '.';

const date = '2026-11-25' as LocalDate;
const told = (body: SessionEventBody, recalled = false): ToldEvent => ({ body, recalled });
const daily = (change: Partial<Extract<SessionEventBody, { type: 'daily' }>>): ToldEvent =>
  told({ type: 'daily', date, worst: null, where: [], headache: null, note: '', ...change });

describe('what was told of a day', () => {
  it('is nothing when nothing was told', () => {
    expect(foldReport([])).toEqual(NO_REPORT);
    expect(worstPain(NO_REPORT)).toBeNull();
  });

  it('keeps every pain after a session, and the day’s own worst counts before them', () => {
    const pains = [3, 5].map((pain) => told({ type: 'check-in', pain, effort: 4, word: 'stiff' }));
    const report = foldReport(pains);
    expect(report).toMatchObject({ pains: [3, 5], effort: 4, notes: ['stiff', 'stiff'] });
    expect(worstPain(report)).toBe(5);
    expect(worstPain(foldReport([...pains, daily({ worst: 4 })]))).toBe(4);
  });

  it('reckons the furthest reach of each limb, and tells nothing felt from not asked', () => {
    const report = foldReport([daily({ where: ['front left forearm', 'front left elbow'] })]);
    expect([report.arm, report.leg]).toEqual([4, -1]);
    expect(foldReport([]).arm).toBeNull();
  });

  it('takes the later word on the same thing, and silence takes nothing back', () => {
    const report = foldReport([daily({ worst: 6, headache: true }), daily({ note: 'better' })]);
    expect(report).toMatchObject({ worst: 6, headache: true, notes: ['better'] });
    expect(
      foldReport([
        told({ type: 'morning', date, soreness: 'flare' }),
        told({ type: 'morning', date, soreness: 'settled' }),
      ]).soreness,
    ).toBe('settled');
  });

  it('is marked as recalled only by entries about the day', () => {
    expect(foldReport([daily({ worst: 3 })]).recalled).toBe(false);
    expect(foldReport([{ ...daily({ worst: 3 }), recalled: true }]).recalled).toBe(true);
    expect(foldReport([told({ type: 'ended' }, true)]).recalled).toBe(false);
  });

  it('puts an entry on the day it is about, and anything else where it happened', () => {
    const happened = '2026-11-27' as LocalDate;
    expect(dayOfEvent(daily({}).body, happened)).toBe(date);
    expect(dayOfEvent({ type: 'ended' }, happened)).toBe(happened);
  });

  it('never loses a report or a pain, however many events stand between', () => {
    const event = fc.oneof(
      fc.integer({ min: 0, max: 10 }).map((pain) => told({ type: 'check-in', pain, word: '' })),
      fc.constant(told({ type: 'started' })),
      fc.constant(
        told({
          type: 'report',
          lineage: null,
          report: { complaint: 'other', severity: 1, compared: 'new', furthest: null },
          advice: 'carry on easier',
        }),
      ),
    );
    fc.assert(
      fc.property(fc.array(event), (events) => {
        const report = foldReport(events);
        expect(report.pains).toHaveLength(events.filter((e) => e.body.type === 'check-in').length);
        expect(report.reports).toHaveLength(events.filter((e) => e.body.type === 'report').length);
      }),
    );
  });
});
