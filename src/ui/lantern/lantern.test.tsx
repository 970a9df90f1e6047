import { renderToStaticMarkup } from 'react-dom/server';
import type { DayAdherence } from '@/core/adherence';
import { localDate } from '@/core/units';
import { Lantern } from './lantern';
import { type SayDays, describeDays, ribOfDay } from './rib';
import { ENGLISH, sayerOf } from '@/catalogue';

const SAY: SayDays = sayerOf(ENGLISH);

const date = localDate('2026-11-23');
const due = (share: number, isToday = false): DayAdherence => ({
  kind: 'due',
  date,
  isToday,
  share,
  sessionsDue: 1,
  sessionsDone: share > 0 ? 1 : 0,
  extraSeconds: 0,
});
const DAYS: DayAdherence[] = [
  { kind: 'before', date },
  due(1),
  due(0.5),
  due(0),
  { kind: 'rest', date, extraSeconds: 0 },
  { kind: 'paused', date, extraSeconds: 0 },
  due(0.25, true),
];

describe('the lantern', () => {
  const picture = renderToStaticMarkup(
    <Lantern ribs={DAYS.map(ribOfDay)} label="Fourteen days" height={80} />,
  );

  it('is an image with a text equivalent', () => {
    expect(picture).toContain('role="img"');
    expect(picture).toContain('aria-label="Fourteen days"');
  });

  it('lights the share done, leaves a missed day dark, a rest day bare, a paused day dotted', () => {
    // Full, half and today's quarter are lit; the missed day is not.
    expect(picture.match(/fill="var\(--lit\)"/g)).toHaveLength(3 + 1);
    expect(picture.match(/stroke-dasharray/g)).toHaveLength(1);
    const lit = [
      ...picture.matchAll(/width="([\d.]+)" height="5.5" rx="2" fill="var\(--lit\)"/g),
    ].map((m) => Number(m[1]));
    const whole = [
      ...picture.matchAll(
        /width="([\d.]+)" height="5.5" rx="2" fill="var\(--(?:dark-rib|sheet)\)"/g,
      ),
    ].map((m) => Number(m[1]));
    expect(lit).toHaveLength(3);
    expect((lit[0] ?? 0) / (whole[0] ?? 1)).toBeCloseTo(1);
    expect((lit[1] ?? 0) / (whole[1] ?? 1)).toBeCloseTo(0.5);
    expect((lit[2] ?? 0) / (whole[3] ?? 1)).toBeCloseTo(0.25);
  });

  it('carries the wick at today alone', () => {
    expect(DAYS.map(ribOfDay).map((rib) => rib.isNow)).toEqual([
      false,
      false,
      false,
      false,
      false,
      false,
      true,
    ]);
  });

  it('draws nothing of an empty lantern but its frame', () => {
    expect(renderToStaticMarkup(<Lantern ribs={[]} label="Nothing" height={80} />)).not.toContain(
      'var(--lit)',
    );
  });
});

describe('the days in words', () => {
  it('counts what was done, in part, missed, and today apart', () => {
    expect(describeDays(DAYS, SAY)).toBe(
      '3 days with something due: 1 done in full, 1 in part, 1 missed. Today: 25 % done.',
    );
    expect(describeDays([due(1)], SAY)).toBe(
      '1 day with something due: 1 done in full, 0 in part, 0 missed.',
    );
    expect(describeDays([{ kind: 'rest', date, extraSeconds: 0 }], SAY)).toBe(
      'Nothing was due in these days.',
    );
  });
});
