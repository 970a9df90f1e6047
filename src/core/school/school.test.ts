import { doseOf } from '../dose';
import { type School, beyondBounds } from '.';

const none: School['bounds'] = { hold: null, volume: null, effortPercent: null };
const beyond = (bounds: Partial<School['bounds']>, dose: string) =>
  beyondBounds({ bounds: { ...none, ...bounds } }, doseOf(dose));

describe('the bounds of a school', () => {
  it('are nothing where it has none', () => {
    expect(beyond({}, '20x99 hold 300s 100%')).toBeNull();
  });

  it.each([
    ['x10 hold 30s gap 3s', null],
    ['x10 hold 20-30s gap 3s', null],
    ['x10 hold 31s gap 3s', 'The hold is over 30 s.'],
    ['x10 hold 20-31s gap 3s', 'The hold is over 30 s.'],
    ['x10', null],
  ])('of a hold are met by %s: %s', (dose, says) => {
    expect(beyond({ hold: { most: 30, bouts: true } }, dose)).toBe(says);
  });

  it('leave what is only lain or stretched alone, where they are of repetitions', () => {
    expect(beyond({ hold: { most: 30, bouts: false } }, '2x60s gap 10s')).toBeNull();
    expect(beyond({ hold: { most: 30, bouts: true } }, '2x60s gap 10s')).toBe(
      'The hold is over 30 s.',
    );
    expect(beyond({ hold: { most: 30, bouts: false } }, 'x10 hold 60s gap 3s')).toBe(
      'The hold is over 30 s.',
    );
  });

  it.each([
    ['3x10', null],
    ['2-3x8-10', null],
    ['3x11', 'More than 30 repetitions.'],
    ['2-4x8', 'More than 30 repetitions.'],
    ['31s', null],
  ])('of all repetitions are met by %s: %s', (dose, says) => {
    expect(beyond({ volume: 30 }, dose)).toBe(says);
  });

  it.each([
    ['x10 hold 5s 50%', null],
    ['x10 hold 5s 30-50%', null],
    ['x10 hold 5s 30-51%', 'Over 50 % threatens.'],
    ['x10 hold 5s rpe 9', null],
  ])('of the effort are met by %s: %s', (dose, says) => {
    expect(beyond({ effortPercent: 50 }, dose)).toBe(says);
  });
});
