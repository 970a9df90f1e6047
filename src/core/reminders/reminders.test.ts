import {
  type Remindable,
  type ReminderSettings,
  isQuiet,
  isReminded,
  remindersOf,
  retryAfter,
} from '.';

const settings: ReminderSettings = {
  sessions: true,
  posture: true,
  channel: 'text',
  address: '+000',
  quiet: { from: 1260, to: 480 },
};
const moment = (change: Partial<Remindable>): Remindable => ({
  key: 'session-1',
  kind: 'session',
  label: 'Morning',
  at: 600,
  done: false,
  ...change,
});

describe('reminders', () => {
  it('go out for what is wanted and not done, outside quiet hours', () => {
    const moments = [
      moment({}),
      moment({ key: 'session-2', at: 1300 }),
      moment({ key: 'session-3', at: 700, done: true }),
      moment({ key: 'beat', kind: 'posture', at: 720 }),
    ];
    expect(remindersOf(moments, settings, 0, 1).map(({ key }) => key)).toEqual([
      'session-1',
      'beat',
    ]);
    expect(remindersOf(moments, { ...settings, posture: false }, 0, 1)).toHaveLength(1);
    expect(remindersOf(moments, { ...settings, sessions: false, posture: false }, 0, 1)).toEqual(
      [],
    );
  });

  it('keep quiet hours over midnight, and none where both ends are the same', () => {
    expect([1259, 1260, 30, 479, 480].map((at) => isQuiet(at, settings.quiet))).toEqual([
      false,
      true,
      true,
      true,
      false,
    ]);
    expect(isQuiet(100, { from: 60, to: 60 })).toBe(false);
    expect(isQuiet(1500, { from: 0, to: 120 })).toBe(true);
  });

  it('ask less often of somebody who does not answer, never more', () => {
    const days = Array.from({ length: 28 }, (_, day) => day);
    const asked = (ignored: number) => days.filter((day) => isReminded(ignored, day)).length;
    expect([asked(0), asked(2), asked(3), asked(8)]).toEqual([28, 28, 14, 4]);
  });

  it('are tried again three times, then given up', () => {
    expect([retryAfter(1), retryAfter(2), retryAfter(3), retryAfter(4)]).toEqual([1, 5, 15, null]);
  });
});
