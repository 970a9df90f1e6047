import fc from 'fast-check';
import { formatDose, parseDose, readDose, unwrittenParts } from '@/core/dose';
import { EXERCISES, FAMILIES, exerciseById, sayPhrase, sayPhrases } from '.';

describe('the catalogue', () => {
  it('has fourteen exercises or more, two or more of each family', () => {
    expect(EXERCISES.length).toBeGreaterThanOrEqual(14);
    for (const family of FAMILIES) {
      expect(
        EXERCISES.filter((exercise) => exercise.family === family).length,
      ).toBeGreaterThanOrEqual(2);
    }
  });

  it('climbs every family from rung 1 without a missing step', () => {
    for (const family of FAMILIES) {
      const rungs = EXERCISES.filter((exercise) => exercise.family === family).map(
        ({ rung }) => rung,
      );
      expect(rungs).toEqual(rungs.map((_, index) => index + 1));
    }
  });

  it.each(EXERCISES.map((exercise) => [exercise.name, exercise] as const))(
    '%s is complete',
    (_, exercise) => {
      const dose = parseDose(exercise.usualDose);
      expect(dose.ok && formatDose(dose.value)).toBe(exercise.usualDose);
      expect(exercise.steps.length).toBeGreaterThan(0);
      expect(exercise.cues.length).toBeGreaterThan(0);
      expect(exercise.watch).not.toBe('');
      expect(exerciseById(exercise.id)).toBe(exercise);
      if (!dose.ok) return;
      const { missing } = unwrittenParts(dose.value, exercise.needs);
      expect(missing.map(({ key }) => key)).toEqual(['missing.until']);
    },
  );

  it('has no two of the same id or name', () => {
    expect(new Set(EXERCISES.map(({ id }) => id)).size).toBe(EXERCISES.length);
    expect(new Set(EXERCISES.map(({ name }) => name)).size).toBe(EXERCISES.length);
  });
});

describe('plain words', () => {
  const say = (
    line: string,
    audience: 'patient' | 'clinician',
    mode: 'held' | 'moved' | 'lain' = 'held',
  ) => {
    const dose = parseDose(line);
    if (!dose.ok) throw new Error(dose.say);
    return sayPhrases(readDose(dose.value, mode), audience);
  };

  it('says a dose to the patient in sentences', () => {
    expect(say('3x10 hold 5s gap 2s rest 60s each side 50% 2/day', 'patient')).toBe(
      '10 times in a row; do that 3 times over. Hold each one for 5 seconds. 2 seconds between them. Rest 60 seconds between rounds. On each side. With 50 % of your strongest push. Twice a day.',
    );
    expect(say('2min', 'patient', 'lain')).toBe('Stay there for 2 minutes.');
    expect(say('1-5min rpe 3-5 as needed', 'patient')).toBe(
      'Hold for 1 to 5 minutes. So that it feels like 3 to 5 of 10. When you need it.',
    );
  });

  it('says it to the clinician in one line', () => {
    expect(say('6-4-2 hold 10-15s rest 20-30s daily', 'clinician')).toBe(
      'Sets of 6, 4, and 2, hold 10 to 15 seconds, 20 to 30 seconds rest between sets, daily',
    );
  });

  it('has words for every part and everything unwritten', () => {
    const lines = [
      '3x10 hold 5s move 4s breath 4-4-4 in 6 directions at 3 angles 5/10/adj kg band firm stretch 50% gap 2s rest 2min left 50% tuck 10-20% warm-up 1 1-8/day daily from day 3 until 9 days',
      'x10 slow at 10/20deg 50% 1rm band "Own" right rpe 3 every 90min every 3 days until 2027-01-31',
      '30s at 3 barriers 8lb each side as needed every other day until review',
      'x1 80% 10rm alternating on waking mon sun',
      '5-6-max before training',
      '2x30s after training every 2h',
    ].map((line) => line.replace(' every 2h', ''));
    for (const line of lines) {
      for (const mode of ['held', 'moved', 'lain'] as const) {
        expect(say(line, 'patient', mode)).not.toMatch(/[{}]|undefined/);
        expect(say(line, 'clinician', mode)).not.toMatch(/[{}]|undefined/);
      }
    }
    const bare = parseDose('3x10');
    if (!bare.ok) throw new Error(bare.say);
    const { assumed, missing } = unwrittenParts(bare.value, { sided: true, effort: true });
    expect([...assumed, ...missing].map((phrase) => sayPhrase(phrase, 'clinician'))).toHaveLength(
      7,
    );
  });

  it('refuses a key that has no words instead of showing it', () => {
    fc.assert(
      fc.property(fc.string(), (key) => {
        expect(() => sayPhrase({ key: `no.such.${key}`, values: {} }, 'patient')).toThrow(
          RangeError,
        );
      }),
    );
  });
});
