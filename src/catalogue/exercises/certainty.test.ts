import { DISAGREEMENTS } from '@/core/progression';
import { EXERCISES } from '.';
import { certaintyOf } from './certainty';

describe('how sure the trade is', () => {
  it('is said of every exercise, with a source marked “from memory” where one is named', () => {
    for (const exercise of EXERCISES) {
      const found = certaintyOf(exercise);
      if (found.kind === 'studied')
        expect(found.source).toMatch(/^[A-Z]\w+ \d{4} \(from memory\)$/);
      if (found.kind === 'disputed')
        for (const about of found.about)
          expect(DISAGREEMENTS.map((one) => one.about)).toContain(about);
    }
  });
  it.each([
    ['nod-hold-finger-check', 'studied'],
    ['wedge-lying', 'disputed'],
    ['calf-stretch', 'common practice'],
  ])('%s is %s', (id, kind) => {
    const exercise = EXERCISES.find((one) => one.id === id);
    expect(exercise && certaintyOf(exercise).kind).toBe(kind);
  });
});
