import { aboutExercise } from './about-exercise';
import { EXERCISES } from '.';
import { WORDED } from './wording';

describe('what a colleague would ask of an exercise', () => {
  it('stands by its stairs, its programmes and whom it is flagged for', () => {
    const about = aboutExercise(WORDED, 'tuck-bench-edge');
    expect(about?.harder?.id).toBe('bench-edge-arms');
    expect(about?.easier).toBeNull();
    expect(about?.programmes).toEqual(['Bench edge']);
    expect(about?.flaggedFor.map(({ who }) => who)).toEqual(
      expect.arrayContaining(['Disc trouble low in the neck', 'Osteoporosis', 'Arm symptoms']),
    );
    expect(about?.doses[0]).toMatchObject({
      school: 'Usual',
      dose: '60s 3/day daily',
      time: 'about 1 min',
    });
  });
  it('is answered for every exercise, each dose with a time', () => {
    for (const { id, doses } of EXERCISES) {
      const about = aboutExercise(WORDED, id);
      expect([id, about?.doses.length]).toEqual([id, Object.keys(doses).length + 1]);
      for (const { time, words } of about?.doses ?? []) {
        expect(time).toMatch(/min|s$/);
        expect(words).not.toBe('');
      }
    }
    expect(aboutExercise(WORDED, 'nobody-knows')).toBeNull();
  });
});
