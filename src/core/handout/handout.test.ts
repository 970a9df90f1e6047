import { parseDose } from '../dose';
import type { ScheduledLine, WallMinute } from '../schedule';
import type { LocalDate } from '../units';
import { missingLetters, weekTable } from '.';

const waking = { wake: 420 as WallMinute, sleep: 1320 as WallMinute };
const date = (text: string) => text as LocalDate;

function line(text: string, anchor = '2026-11-23'): ScheduledLine {
  const dose = parseDose(text);
  if (!dose.ok) throw new Error(dose.say);
  return { lineage: text, anchor: date(anchor), dose: dose.value };
}

describe('the week to tick', () => {
  it('has the boxes of the real schedule', () => {
    const lines = [
      line('3x10 daily until review'),
      line('3x10 every other day until review'),
      line('3x10 2/day mon fri until review'),
      line('x10 every 2h daily until review'),
      line('x1 hold 60s as needed until review'),
    ];
    const week = weekTable(lines, date('2026-11-23'), waking, null);
    expect(week.days).toHaveLength(7);
    expect(week.days.at(-1)).toBe('2026-11-29');
    const due = week.rows.map((row) => row.due);
    expect(due[0]).toEqual([1, 1, 1, 1, 1, 1, 1]);
    expect(due[1]).toEqual([1, 0, 1, 0, 1, 0, 1]);
    expect(due[2]).toEqual([2, 0, 0, 0, 2, 0, 0]);
    expect(new Set(due[3])).toEqual(new Set([8]));
    expect(due[4]).toEqual([0, 0, 0, 0, 0, 0, 0]);
    expect(week.rows[4]?.asNeeded).toBe(true);
  });

  it('has no box before a phase begins and after the review', () => {
    const week = weekTable(
      [line('3x10 daily from day 4 until review')],
      date('2026-11-23'),
      waking,
      date('2026-11-28'),
    );
    expect(week.rows[0]?.due.slice(0, 3)).toEqual([0, 0, 0]);
    expect(week.rows[0]?.due[3]).toBe(1);
    expect(week.rows[0]?.due.at(-1)).toBe(0);
  });
});

describe('letters that cannot be printed', () => {
  const latin = (code: number) => code < 0x250;
  it('are named once each, in order', () => {
    expect(missingLetters('Łódź 東京東 Ω', latin)).toEqual(['東', '京', 'Ω']);
  });
  it('are never spaces, line breaks or joiners, nor a letter composed from two', () => {
    expect(missingLetters('a b\nc\u200d é', latin)).toEqual([]);
  });
});
