import fc from 'fast-check';
import { formatDose, parseDose, readDose, unwrittenParts } from '@/core/dose';
import { leftUnwritten } from '@/core/timeline';
import { ASKED_PROPS, FAMILIES, HOUSEHOLD, lineFlags, traitsOf } from '@/core/exercise';
import { DOSE_TRAITS, PRECAUTIONS, type PrecautionId, TRAITS, type Trait } from '@/core/screen';
import {
  EXERCISES,
  SHIPPED,
  catalogueOf,
  sayAllToClinician,
  sayPhrase,
  sayPhrases,
  sayToClinician,
} from '.';
import { WORDED, WORDED_EXERCISES, WORDS, wordsOf } from './wording';

describe('the catalogue', () => {
  it('has about seventy-five exercises, and a step or more in every family', () => {
    expect(EXERCISES.length).toBeGreaterThanOrEqual(75);
    for (const family of FAMILIES)
      expect([family, EXERCISES.filter((one) => one.family === family).length > 1]).toEqual([
        family,
        true,
      ]);
  });

  it('has words for every exercise, and for nothing else', () => {
    expect(Object.keys(WORDS).sort()).toEqual(EXERCISES.map(({ id }) => id).sort());
    expect(WORDED_EXERCISES.map(({ id }) => id)).toEqual(EXERCISES.map(({ id }) => id));
    const [first] = WORDED_EXERCISES;
    if (!first) throw new Error('the catalogue is empty');
    // A clinic's own exercise says what the clinic wrote, also under the id of one that ships.
    expect(wordsOf({ ...first, watch: 'Ours' })?.watch).toBe('Ours');
    for (const facts of EXERCISES.slice(0, 1))
      expect(wordsOf({ ...facts, id: 'nobody-knows' })).toBeNull();
  });

  it('climbs every family from rung 1 without a missing step', () => {
    for (const family of FAMILIES) {
      const rungs = EXERCISES.filter((exercise) => exercise.family === family).map(
        ({ rung }) => rung,
      );
      expect([family, rungs]).toEqual([family, rungs.map((_, index) => index + 1)]);
    }
  });

  it.each(WORDED_EXERCISES.map((exercise) => [exercise.name, exercise] as const))(
    '%s is complete',
    (_, exercise) => {
      const dose = parseDose(exercise.usualDose);
      expect(dose.ok && formatDose(dose.value)).toBe(exercise.usualDose);
      for (const list of [exercise.muscles, exercise.steps, exercise.cues, exercise.keywords])
        expect(list.filter((text) => text.trim() !== '').length).toBeGreaterThan(0);
      expect(Object.keys(exercise.faults).length).toBeGreaterThanOrEqual(2);
      for (const text of [
        exercise.watch,
        exercise.feel,
        exercise.normal,
        exercise.stop,
        ...Object.values(exercise.faults),
      ])
        expect(text.trim()).not.toBe('');
      expect(exercise.needs.sided ? exercise.ways : 'plain').not.toBe(
        exercise.family.endsWith('nerve') ? 'never' : '',
      );
      for (const line of Object.values(exercise.doses)) {
        const own = parseDose(line);
        expect(own.ok && formatDose(own.value)).toBe(line);
      }
      expect(Object.keys(exercise.doses).length).toBeGreaterThan(0);
      expect(WORDED.byId(exercise.id)).toBe(exercise);
      expect(exercise).toMatchObject(SHIPPED.byId(exercise.id) ?? {});
      if (!dose.ok) return;
      const { missing } = unwrittenParts(dose.value, exercise.needs);
      // Done towards one side only, which nobody may choose but the clinician.
      const asked = exercise.id === 'side-glide' ? ['missing.side'] : [];
      expect(missing.map(({ key }) => key)).toEqual([...asked, 'missing.until']);
    },
  );

  it('has no two of the same id or name', () => {
    expect(new Set(EXERCISES.map(({ id }) => id)).size).toBe(EXERCISES.length);
    expect(new Set(EXERCISES.map(({ name }) => name)).size).toBe(EXERCISES.length);
  });

  it('can be done in every home, or asks for what it needs', () => {
    const known = [...ASKED_PROPS, ...HOUSEHOLD] as readonly string[];
    for (const { id, props } of EXERCISES)
      expect([id, props.filter(({ prop }) => !known.includes(prop))]).toEqual([id, []]);
  });

  it('uses no maker’s colours for bands', () => {
    expect(JSON.stringify(WORDED_EXERCISES)).not.toMatch(
      /\b(yellow|red|green|blue|black|silver|gold)\b/i,
    );
  });

  it('adds a clinic’s own without losing any', () => {
    const [first] = EXERCISES;
    if (!first) throw new Error('empty');
    const own = catalogueOf([{ ...first, id: 'own', name: 'Own' }]);
    expect(own.all).toHaveLength(EXERCISES.length + 1);
    expect(own.byId('own')?.name).toBe('Own');
    expect(own.byId('nothing')).toBeNull();
  });
});

describe('precautions (the matrix of the trade; common practice, no source)', () => {
  const flagged = (precaution: PrecautionId) =>
    EXERCISES.filter((one) =>
      lineFlags([precaution], one, null).some((flag) => flag.precaution === precaution),
    ).map(({ id }) => id);

  it('flags every neck exercise for whoever must not exercise the neck', () => {
    const neck = EXERCISES.filter(({ region }) => region === 'neck').map(({ id }) => id);
    expect(flagged('neck injury')).toEqual(neck);
  });

  it.each<[PrecautionId, string[]]>([
    ['jaw', ['chin-held-ball', 'under-jaw-tuck']],
    [
      'osteoporosis',
      [
        'standing-bend',
        'block-opening',
        'tuck-bench-edge',
        'neck-base-press',
        'cloth-rotation',
        'curl-up',
      ],
    ],
    ['lumbar narrowing', ['press-up', 'standing-back-bend']],
    [
      'arm symptoms',
      ['overhead-shrug', 'median-tensioner', 'wedge-lying', 'wedge-look-over', 'tuck-bench-edge'],
    ],
    [
      'instability',
      [
        'side-neck-stretch',
        'cloth-rotation',
        'wedge-lying',
        'rolled-cloth',
        'block-opening',
        'head-rolls',
      ],
    ],
    [
      'low neck disc',
      ['cloth-rotation', 'wedge-lying', 'wedge-look-over', 'rolled-cloth', 'tuck-bench-edge'],
    ],
    ['dizziness', ['look-up-push', 'wedge-lying', 'head-rolls', 'cloth-rotation']],
    ['carotid or fainting', ['nod-hold-finger-check']],
    ['thinners', ['neck-base-press', 'block-opening', 'tuck-bench-edge']],
    ['everybody', ['head-rolls']],
    ['surgery neck', ['tuck-lying', 'block-opening']],
    ['surgery back', ['press-up', 'curl-up']],
    ['surgery arm', ['overhead-shrug']],
    ['late pregnancy', ['face-down-lying', 'prone-neck-hold', 'tuck-lying']],
    ['limb joints', ['tuck-hands-knees', 'side-band-hold', 'press-up', 'overhead-shrug']],
  ])('%s', (precaution, ids) => {
    expect(flagged(precaution)).toEqual(expect.arrayContaining(ids));
  });

  it('lets every trait reach a precaution, and every precaution an exercise or a dose', () => {
    const carried = new Set([...EXERCISES.flatMap(traitsOf), ...DOSE_TRAITS]);
    const flaggable = new Set(
      Object.values(PRECAUTIONS).flatMap(({ flags }): Trait[] => [...flags]),
    );
    const traits = Object.keys(TRAITS) as Trait[];
    expect(traits.filter((trait) => !carried.has(trait))).toEqual([]);
    expect(traits.filter((trait) => !flaggable.has(trait))).toEqual(['light control']);
    for (const id of Object.keys(PRECAUTIONS) as PrecautionId[])
      expect([id, PRECAUTIONS[id].flags.some((flag) => carried.has(flag))]).toEqual([id, true]);
  });

  it('asks a reason for whole-circle head rolls of whoever it is', () => {
    const rolls = SHIPPED.byId('head-rolls');
    expect(rolls && lineFlags([], rolls, null)).toEqual([
      { precaution: 'everybody', trait: 'head rolls' },
    ]);
  });

  it('keeps surgery to its region, and to everything while nobody has said where', () => {
    const of = (precaution: PrecautionId) => new Set(flagged(precaution));
    for (const { id, region } of EXERCISES) {
      expect([id, of('surgery').has(id)]).toEqual([id, true]);
      expect([id, of('surgery leg').has(id)]).toEqual([id, ['leg', 'all'].includes(region)]);
    }
  });

  it('flags bands for a latex allergy', () => {
    for (const { id, props, traits } of EXERCISES)
      expect([id, traits.includes('latex band')]).toEqual([
        id,
        props.some(({ prop }) => prop === 'flat band'),
      ]);
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
    const phrases = readDose(dose.value, mode);
    return audience === 'patient' ? sayPhrases(phrases) : sayAllToClinician(phrases);
  };

  it('says a dose to the patient in sentences', () => {
    expect(say('3x10 hold 5s gap 2s rest 60s each side 50% 2/day', 'patient')).toBe(
      'Do 3 sets of 10. Hold each for 5 seconds, rest 2 seconds. Rest 60 seconds between sets. Do each side. Push with 50 % of your strongest push. Twice a day.',
    );
    expect(say('2min', 'patient', 'lain')).toBe('Stay there for 2 minutes.');
    expect(say('1-5min rpe 3-5 as needed', 'patient')).toBe(
      'Hold for 1 to 5 minutes. Push until it feels like 3 to 5 out of 10. When you need it.',
    );
  });

  it('says it to the clinician in one line', () => {
    expect(say('6-4-2 hold 10-15s rest 20-30s daily', 'clinician')).toBe(
      'Sets of 6, 4 and 2, hold 10 to 15 seconds, 20 to 30 seconds rest between sets, daily',
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
    for (const [line, most] of [
      ['3x10', 6],
      ['10s in 4 directions', 5],
      ['2x10s each side', 6],
      ['2x10s alternating', 5],
    ] as const) {
      const dose = parseDose(line);
      if (!dose.ok) throw new Error(dose.say);
      const open = leftUnwritten(dose.value, 'held', { sided: true, effort: true });
      expect([
        line,
        [...open.assumed, ...open.missing].map((phrase) => sayToClinician(phrase)).length,
      ]).toEqual([line, most]);
    }
  });

  it('refuses a key that has no words instead of showing it', () => {
    fc.assert(
      fc.property(fc.string(), (key) => {
        expect(() => sayPhrase({ key: `no.such.${key}`, values: {} })).toThrow(RangeError);
      }),
    );
  });
});
