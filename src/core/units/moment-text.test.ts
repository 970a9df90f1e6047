import { dateFormat } from './date-format';
import { momentText, momentsOfWeek, ownClockText } from './moment-text';
import { DAY_MS, HOUR_MS } from './milliseconds';

const HOW = { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' } as const;

describe('a moment of the week', () => {
  it.each(['en', 'de', 'es', 'ar', 'hu', 'zh', 'fa'])(
    'is said as the calendar says it by this device’s clock: %s',
    (tag) => {
      const whole = dateFormat(tag, { weekday: 'long', ...HOW });
      const time = dateFormat(tag, HOW);
      const week = momentsOfWeek(tag);
      expect(week).toHaveLength(7);
      for (let hours = 0; hours < 24 * 9; hours += 5) {
        const at = Date.parse('2026-11-27T00:17:00Z') + hours * HOUR_MS;
        expect(momentText(week, at)).toBe(whole.format(at));
        expect(ownClockText(at)).toBe(time.format(at));
      }
    },
  );

  it('begins its week with Sunday', () => {
    expect(momentsOfWeek('en')[0]).toBe('Sunday {time}');
    expect(momentsOfWeek('en')[6]).toBe('Saturday {time}');
    // 2026-11-29, a Sunday.
    const noon = new Date(2026, 10, 29, 12, 5).getTime();
    expect(momentText(momentsOfWeek('en'), noon)).toBe('Sunday 12:05');
    expect(momentText(momentsOfWeek('en'), noon + DAY_MS)).toBe('Monday 12:05');
  });

  it('is its time alone where no week is known', () => {
    expect(momentText([], new Date(2026, 10, 29, 7, 0).getTime())).toBe('07:00');
  });
});
