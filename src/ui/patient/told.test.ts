import { localDate } from '@/core/units';
import { NO_ANSWERS, checkInTold, dayTold } from './told';

const [today, yesterday] = [localDate('2026-11-27'), localDate('2026-11-26')];

describe('the entry of a day', () => {
  it('tells nothing of what was not answered', () => {
    expect(dayTold(NO_ANSWERS, today, yesterday)).toEqual([]);
    expect(dayTold({ ...NO_ANSWERS, note: '  ' }, today, yesterday)).toEqual([]);
  });

  it('tells the morning and the week of today, the rest of the day it is about', () => {
    const told = dayTold(
      { ...NO_ANSWERS, soreness: 'settled', worst: 0, scores: { rowing: 4, reading: 7 } },
      today,
      yesterday,
    );
    expect(told).toEqual([
      { type: 'morning', date: today, soreness: 'settled' },
      { type: 'daily', date: yesterday, worst: 0, where: [], headache: null, note: '' },
      {
        type: 'weekly',
        date: today,
        activities: [
          { activity: 'rowing', score: 4 },
          { activity: 'reading', score: 7 },
        ],
      },
    ]);
  });

  it.each([
    [{ worst: 0 }],
    [{ where: ['front left hand' as const] }],
    [{ headache: false }],
    [{ note: ' long drive ' }],
  ])('is about the day for %p alone', (change) => {
    const [daily, ...more] = dayTold({ ...NO_ANSWERS, ...change }, today, today);
    expect(more).toEqual([]);
    expect(daily).toMatchObject({ type: 'daily', date: today });
    if ('note' in change) expect(daily).toMatchObject({ note: 'long drive' });
  });
});

describe('a check-in', () => {
  it('is nothing where nothing was answered', () => {
    expect(checkInTold(null, null, '  ')).toBeNull();
  });
  it('takes no pain and no effort as answers', () => {
    expect(checkInTold(0, null, '')).toEqual({ pain: 0, effort: null, word: '' });
    expect(checkInTold(null, 0, '')).toEqual({ pain: null, effort: 0, word: '' });
    expect(checkInTold(null, null, ' easier ')).toEqual({
      pain: null,
      effort: null,
      word: 'easier',
    });
  });
});
