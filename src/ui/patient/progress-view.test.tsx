import { renderToStaticMarkup } from 'react-dom/server';
import { ENGLISH, patientWords } from '@/catalogue';
import { NO_PROGRESS, type PainTold, type Progress } from '@/core/history';
import type { LocalDate } from '@/core/units';
import { ProgressView } from './progress-view';
import { Words } from './say';

const day = (date: string, worst: number | null, share = 1) => ({
  date: date as LocalDate,
  worst,
  done: share > 0 ? 1 : 0,
  adherence: {
    kind: 'due' as const,
    date: date as LocalDate,
    isToday: false,
    share,
    sessionsDue: 1,
    sessionsDone: share > 0 ? 1 : 0,
    extraSeconds: 0,
  },
});

const shown = (progress: Partial<Progress>) =>
  renderToStaticMarkup(
    <Words words={patientWords(ENGLISH)} language={ENGLISH.tag}>
      <ProgressView progress={{ ...NO_PROGRESS, ...progress }} />
    </Words>,
  );

describe('how it is going', () => {
  it('says that nothing has been told yet', () => {
    expect(shown({})).toContain('You have told nothing yet.');
  });

  it('says first in words what the record holds, without praise and without blame', () => {
    const html = shown({
      sessions: { done: 11, due: 14, days: 14 },
      pain: { said: 'down', from: 6, to: 4, fitted: [] },
      activities: [{ activity: 'Ring the bell', from: 3, to: 5, scores: [] }],
      holds: [{ name: 'Tuck and lighten', from: 5, to: 10 }],
    });
    expect(html).toContain('You did 11 of 14 sessions in the last 14 days.');
    expect(html).toContain(
      'Your worst pain has come down from about 6 to about 4. That is more than the ups and downs from day to day.',
    );
    expect(html).toContain('Tuck and lighten: you held it for 5 s at first, and 10 s now.');
    expect(html).not.toMatch(/great|well done|should|missed|fail/i);
  });

  it('says what the verdict says, without statistics, and never hides that it is worse', () => {
    const pained = (said: PainTold['said'], from: number, to: number) =>
      shown({ sessions: null, pain: { said, from, to, fitted: [] }, days: [day('2026-11-24', 4)] });
    expect(pained('same', 5, 4)).toContain('about the same as at the start, about 4');
    expect(pained('up', 3, 6)).toContain('gone up from about 3 to about 6');
    expect(pained('back', 6, 6)).toContain('was getting better and is about 6 now');
    expect(pained('downALittle', 5, 4)).toContain('come down a little, to about 4');
    expect(shown({ days: [day('2026-11-24', 4)] })).toContain('It is too early to say');
  });

  it('draws a lantern for every week and a line for the pain, each with its words or table', () => {
    const days = Array.from({ length: 16 }, (_, index) =>
      day(`2026-11-${String(index + 1).padStart(2, '0')}`, index % 3 === 0 ? null : 5, index % 2),
    );
    const html = shown({ days, sessions: { done: 8, due: 16, days: 14 } });
    expect(html.match(/<figure/g)).toHaveLength(3);
    expect(html).toMatch(/role="img" aria-label="\d+ days? with something due/);
    expect(html.match(/<circle/g)).toHaveLength(days.filter(({ worst }) => worst !== null).length);
    expect(html.match(/<tr>/g)).toHaveLength(days.length + 1);
    expect(html).toContain('<td>–</td>');
  });

  it('draws a line for an activity that was scored more than once', () => {
    const days = [day('2026-11-01', 5), day('2026-11-08', 4)];
    const scores = days.map(({ date }, index) => ({ date, score: 3 + index }));
    const html = shown({ days, activities: [{ activity: 'Ring', from: 3, to: 4, scores }] });
    expect(html).toContain('aria-label="Ring, 0 cannot do it at all, 10 as well as before"');
    expect(html).toContain('Ring: from 3 to 4 of 10.');
    const once = shown({
      days,
      activities: [{ activity: 'Ring', from: 3, to: 3, scores: scores.slice(0, 1) }],
    });
    expect(once).toContain('Ring: 3 of 10.');
    expect(once).not.toContain('aria-label="Ring');
  });
});
