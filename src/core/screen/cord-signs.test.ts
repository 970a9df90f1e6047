import { adult, outcome } from '../../../tests/support/screening-cases';
import { type QuestionId, type ScreeningAnswers, cordSigns, screen } from '.';

describe('signs of the neck cord (Cook 2010, memory)', () => {
  const signs = (positive: QuestionId[], age: number): ScreeningAnswers => ({
    age,
    pressure: null,
    answers: Object.fromEntries(
      (['gait-sign', 'hoffmann', 'inverted-supinator', 'babinski'] as const).map((id) => [
        id,
        positive.includes(id) ? 'yes' : 'no',
      ]),
    ),
  });
  it('three rule in, one or none makes unlikely, two is undecided', () => {
    expect(cordSigns(signs(['gait-sign', 'hoffmann'], 46)).kind).toBe('ruled in');
    expect(cordSigns(signs(['gait-sign'], 46)).kind).toBe('undecided');
    expect(cordSigns(signs(['gait-sign', 'babinski'], 45)).kind).toBe('undecided');
    expect(cordSigns(signs([], 46)).kind).toBe('unlikely');
    expect(cordSigns(signs(['hoffmann'], 45)).kind).toBe('unlikely');
  });
  it('refers for any one sign regardless of the count', () => {
    expect(outcome('babinski')).toBe('refer');
    expect(screen(adult(['gait-sign', 'hoffmann', 'babinski'])).outcome).toBe('same day');
  });
  it('calls nothing unlikely that was not tested', () => {
    expect(cordSigns(adult()).kind).toBe('undecided');
    expect(cordSigns(adult()).known).toBe(1);
  });
});
