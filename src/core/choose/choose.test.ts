import { doseOf } from '../dose';
import { EXERCISES, SHIPPED } from '@/catalogue';
import { propStates } from '../exercise';
import {
  ABOUT_NOTHING,
  FINDING_RULES,
  type FindingAbout,
  type FindingFacts,
  HELD_BY,
  type LatestMeasure,
  OWN_FINDING,
} from '../findings';
import type { PrecautionId } from '../screen';
import {
  CHOICE_RULES,
  type Circumstances,
  closedBecause,
  familiesFor,
  stepsOf,
  suggest,
  tradeWarnings,
  uncoveredFindings,
  withFamilies,
} from '.';

const exercise = (id: string) => {
  const found = SHIPPED.byId(id);
  if (!found) throw new Error(id);
  return found;
};
const measured = (kind: LatestMeasure['kind'], value: number): LatestMeasure => ({
  kind,
  side: null,
  value,
  trials: [value],
  body: null,
  note: '',
  painAtEnd: null,
  chinJut: false,
  retest: null,
});
const facts = (measures: readonly LatestMeasure[] = []): FindingFacts => ({
  measures,
  irritability: null,
  detectable: {},
  sex: null,
});
const home: Circumstances = { props: null, cannot: [], precautions: [] };
const finding = (rule: string, about: Partial<FindingAbout> = {}, say = rule) => ({
  key: rule,
  about: { ...ABOUT_NOTHING, rule, ...about },
  say,
});
const names = (found: ReturnType<typeof suggest>) => found.map(({ exercise: { id } }) => id);

describe('suggestions from confirmed findings', () => {
  it('every rule names a finding there is, and families the catalogue climbs', () => {
    const ids = FINDING_RULES.map(({ id }) => id);
    for (const { finding: id, families } of CHOICE_RULES) {
      expect(ids).toContain(id);
      for (const family of families) expect(stepsOf(EXERCISES, family).length).toBeGreaterThan(1);
    }
  });

  it('starts on these steps by what the tests held, and on the first where none was done', () => {
    const HOLDS = ['deep-flexor-hold', 'neck-extensor-hold', 'trunk-extensor-hold'] as const;
    const startOf = (rule: (typeof CHOICE_RULES)[number], held: number | null) =>
      rule.start(held === null ? facts() : facts(HOLDS.map((kind) => measured(kind, held)))).above;
    expect(
      CHOICE_RULES.map((rule) =>
        [
          rule.finding,
          ...Object.values(rule.only ?? {}).flat(),
          '→',
          ...rule.families,
          ':',
          ...[null, 4, 5, 9, 10, 23, 24, 29, 30, 59, 60].map((held) => startOf(rule, held)),
        ].join(' '),
      ),
    ).toMatchSnapshot();
  });

  it('starts weak deep flexors on the step they can do properly', () => {
    const start = (hold: number) =>
      names(
        suggest(
          [finding('deep-flexors')],
          EXERCISES,
          facts([measured('deep-flexor-hold', hold)]),
          home,
        ),
      )[0];
    expect([start(3), start(6), start(12), start(30)]).toEqual([
      'nod-on-ball',
      'tuck-lying',
      'tuck-lighten',
      'tuck-lift',
    ]);
    expect(names(suggest([finding('deep-flexors')], EXERCISES, facts(), home))).toEqual([
      'nod-on-ball',
    ]);
  });

  it.each([
    [null, 0],
    [9, 0],
    [10, 2],
    [29, 2],
    [30, 3],
  ])('with extensors that held %s s a neck that leads starts %s steps up', (hold, above) => {
    const found = suggest(
      [finding('held-from-below', { part: HELD_BY.neck })],
      EXERCISES,
      facts(hold === null ? [] : [measured('neck-extensor-hold', hold)]),
      home,
    ).find((one) => one.exercise.family === 'Tuck, upright');
    const steps = stepsOf(EXERCISES, 'Tuck, upright').map(({ id }) => id);
    expect(steps.indexOf(found?.exercise.id ?? '')).toBe(above);
  });

  it('starts a step lower where it flares easily', () => {
    const irritable: FindingFacts = {
      ...facts([measured('deep-flexor-hold', 12)]),
      irritability: { level: 'high', points: 5, reasons: [] },
    };
    const [first] = suggest([finding('deep-flexors')], EXERCISES, irritable, home);
    expect(first?.exercise.id).toBe('nod-hold-finger-check');
    expect(first?.rungBecause).toContain('Flares easily');
  });

  it('brings neck, blades and upper back together for a forward head, and sliders before tensioners', () => {
    expect(names(suggest([finding('forward-head')], EXERCISES, facts(), home))).toEqual([
      'tuck-seated',
      'blade-set',
      'shoulder-rolls',
    ]);
    expect(
      names(
        suggest(
          [finding('nerve-tension', { part: 'median nerve tension', side: 'left' })],
          EXERCISES,
          facts(),
          home,
        ),
      ),
    ).toEqual(['median-slider']);
    expect(
      names(
        suggest(
          [finding('directional-preference', { direction: 'press-up lying' })],
          EXERCISES,
          facts(),
          home,
        ),
      ),
    ).toEqual(['face-down-lying']);
  });

  it('takes the side from the finding’s data, whatever its words say', () => {
    const side = (about: Partial<FindingAbout>, say: string) =>
      suggest([finding('side-difference', about, say)], EXERCISES, facts(), home)[0];
    const turn = { measure: 'neck-turn', side: 'left' } as const;
    // A stretch is named by the side it lengthens: which one a turn lacks, the clinician says.
    expect(side(turn, 'Left neck turn 12° less than right.')).toMatchObject({
      exercise: { id: 'side-neck-stretch' },
      side: null,
    });
    const bend = { measure: 'neck-side-bend', side: 'right' } as const;
    expect(side(bend, 'Left-handed sailmaker: right neck side-bend less')?.side).toBe('left');
    expect(side({ measure: 'neck-turn' }, 'Left neck turn less')?.side).toBeNull();
  });

  it('gives a side only where the finding’s side is the one to exercise', () => {
    const sideFor = (rule: string) =>
      suggest(
        [finding(rule, { side: 'left', measure: 'neck-side-bend' })],
        EXERCISES,
        facts(),
        home,
      ).find(({ side }) => side !== null)?.side ?? null;
    expect(
      ['side-difference', 'range-below-norm', 'weak-side', 'chin-jut', 'pain-at-end'].map(sideFor),
    ).toEqual(['right', 'right', 'left', null, null]);
  });

  it('lets rules of one finding apart by measure, part and direction, never by words', () => {
    const families = (rule: string, about: Partial<FindingAbout>, say: string) =>
      familiesFor(finding(rule, about, say));
    expect(families('held-from-below', { part: HELD_BY.trunk }, 'neck strength leads')).toEqual([
      'Upper back',
      'Shoulder blade',
      'Posture and breathing',
    ]);
    expect(families('held-from-below', { part: HELD_BY.neck }, 'blade work lead')).toEqual([
      'Tuck, upright',
      'Neck hold',
    ]);
    expect(families('held-from-below', {}, 'neck strength leads')).toEqual([]);
    expect(families('short-or-stiff', { measure: 'chest-muscle' }, 'upper-back')).toEqual([
      'Stretch',
    ]);
    expect(families('directional-preference', { direction: 'bend forward lying' }, 'tuck')).toEqual(
      ['Bending forward'],
    );
    expect(families('nerve-tension', { part: 'slump sitting' }, 'median nerve')).toEqual([
      'Sciatic nerve',
    ]);
  });

  it('goes round what is closed, and says why', () => {
    const precautions: PrecautionId[] = ['carotid or fainting', 'instability'];
    const [flexor] = suggest(
      [finding('deep-flexors')],
      EXERCISES,
      facts([measured('deep-flexor-hold', 12)]),
      { ...home, cannot: ['lying'] },
    );
    expect(flexor).toBeUndefined();
    const [looking] = suggest([finding('controlled-looking-up')], EXERCISES, facts(), {
      ...home,
      precautions,
    });
    expect(looking?.exercise.id).toBe('head-return');
    expect(looking?.rungBecause).toContain('Looking up with a backward push is closed');
  });

  it('puts what answers more findings first, and never more than twelve', () => {
    const all = CHOICE_RULES.map(({ finding: rule, only }) =>
      finding(rule, {
        measure: only?.measure?.[0] ?? null,
        direction: only?.direction?.[0] ?? null,
        part: only?.part?.[0] ?? null,
      }),
    );
    expect(suggest(all, EXERCISES, facts(), home).length).toBeLessThanOrEqual(12);
    const [first] = suggest(
      [finding('nod-test'), finding('deep-flexors'), finding('wall-gap')],
      EXERCISES,
      facts(),
      home,
    );
    expect(first?.findings).toHaveLength(2);
  });

  it('says which findings nothing answers; one of the clinician’s own is not judged', () => {
    const open = [
      finding('deep-flexors'),
      finding('weak-side', { measure: 'strength-side', side: 'left' }),
      finding(OWN_FINDING),
    ].map(withFamilies);
    expect(uncoveredFindings(open, [exercise('tuck-lying')]).map(({ key }) => key)).toEqual([
      'weak-side',
    ]);
  });
});

describe('what is closed to a patient', () => {
  it('names flag, position and missing prop', () => {
    expect(
      closedBecause(exercise('wedge-lying'), {
        props: [],
        cannot: ['lying'],
        precautions: ['arm symptoms'],
      }),
    ).toEqual([
      'flagged: lying on a wedge',
      'cannot take the position: lying',
      'missing at home: neck wedge',
    ]);
    expect(closedBecause(exercise('wedge-lying'), home)).toEqual([]);
  });
  it('takes the first substitute the home has, with its consequence', () => {
    expect(propStates(exercise('wall-press'), [])[0]).toMatchObject({
      kind: 'instead',
      use: 'towel',
    });
    expect(propStates(exercise('wall-press'), ['soft ball'])[0]).toMatchObject({
      use: 'soft ball',
      consequence: expect.stringContaining('rolls') as string,
    });
    expect(propStates(exercise('wall-press'), ['pad'])[0]).toMatchObject({ kind: 'there' });
    expect(propStates(exercise('tuck-bench-edge'), [])[0]).toMatchObject({ kind: 'missing' });
  });
});

describe('the trade’s own warnings (common practice, no source)', () => {
  const warned = (
    lines: readonly (readonly [string, string])[],
    precautions: readonly PrecautionId[] = [],
  ) =>
    tradeWarnings(
      lines.map(([id, dose], index) => ({
        id: String(index),
        exercise: exercise(id),
        dose: doseOf(dose),
      })),
      precautions,
    ).map(({ rule }) => rule);

  it.each<[string, readonly (readonly [string, string])[]]>([
    ['tucks alone', [['tuck-lying', '10x10s']]],
    [
      'front without back',
      [
        ['tuck-lift', '3x10s'],
        ['blade-set', 'x10'],
      ],
    ],
    ['one direction', [['side-neck-stretch', '30s left']]],
    [
      'one direction',
      [
        ['press-up', 'x10'],
        ['sitting-bend', 'x10'],
      ],
    ],
    ['no rest day', [['knee-angle-hold', '5x5s at 3 angles 50% daily']]],
    ['no rest day', [['band-row', '3x10 band medium rpe 5']]],
    ['no rest day', [['band-row', '3x10 50% 1rm']]],
    ['no rest day', [['band-row', '3x10 67% 10rm']]],
    ['no rest day', [['band-row', '3x10 rpe 6 mon tue']]],
    ['no rest day', [['band-row', '3x10 rpe 6 sun mon']]],
    ['effort not told', [['band-row', '3x10 10kg']]],
    ['effort not told', [['band-row', '3x10 band firm mon tue wed thu fri']]],
    [
      'curve both ways',
      [
        ['wedge-lying', '5min'],
        ['tuck-lying', '10x10s'],
      ],
    ],
    ['load contradicts its repetitions', [['band-row', '3x10 80% 1rm every other day']]],
    ['bending soon after waking', [['knees-to-chest', 'x10 on waking']]],
    ['bending soon after waking', [['knees-to-chest', 'x10 every 2h']]],
    ['bending soon after waking', [['standing-bend', 'x10 every 2h']]],
    ['tensioner without slider', [['median-tensioner', 'x5 each side']]],
  ])('%s', (rule, lines) => {
    expect(warned(lines)).toContain(rule);
  });
  it.each<[string, string, string]>([
    ['a weight however heavy', 'band-row', '3x10 50kg'],
    ['less than half of the maximum', 'band-row', '3x10 49% 1rm'],
    ['66 % of a ten-repetition maximum', 'band-row', '3x10 66% 10rm'],
    ['an effort of 4 of 10', 'band-row', '3x10 band firm rpe 4'],
    ['a day between', 'band-row', '3x10 rpe 8 mon wed fri'],
    ['every other day', 'band-row', '3x10 rpe 8 every other day'],
    ['what declares itself light', 'cheekbone-nod', 'x5 hold 3s rpe 6'],
    ['what does not strengthen', 'side-neck-stretch', '30s left rpe 6'],
  ])('asks for no rest day for %s', (_, id, line) => {
    expect(warned([[id, line]])).not.toContain('no rest day');
  });
  it('asks once how hard unknown loads are, and never of one that is told', () => {
    const asked = tradeWarnings(
      [
        { id: 'a', exercise: exercise('band-row'), dose: doseOf('3x10 10kg') },
        { id: 'b', exercise: exercise('band-pull'), dose: doseOf('3x10 band light') },
        { id: 'c', exercise: exercise('band-pull'), dose: doseOf('3x10 band light rpe 3') },
        { id: 'd', exercise: exercise('band-row'), dose: doseOf('3x10 10kg every other day') },
      ],
      [],
    ).filter(({ rule }) => rule === 'effort not told');
    expect(asked.map(({ lines }) => lines)).toEqual([['a', 'b']]);
  });
  it.each([
    ['a weight alone', '3x10 10kg', true],
    ['a band alone', '3x10 band light', true],
    ['neither', '3x10', false],
    ['a weight of which the effort is told', '3x10 10kg rpe 3', false],
  ])('asks how hard it is of %s: %s', (_, dose, is) => {
    const line = { id: 'a', exercise: exercise('band-row'), dose: doseOf(dose) };
    const rules = tradeWarnings([line], []).map(({ rule }) => rule);
    expect(rules.includes('effort not told')).toBe(is);
  });
  it('bending at set times of the day is left alone', () => {
    expect(warned([['knees-to-chest', 'x10 2/day']])).not.toContain('bending soon after waking');
  });
  it('end range for the unstable', () => {
    expect(warned([['side-neck-stretch', '30s each side']], ['instability'])).toEqual([
      'end range for the unstable',
    ]);
  });
  it('has nothing against low-effort holds every day, or a whole programme', () => {
    expect(
      warned([
        ['six-way-hold', '3x10s in 6 directions 30% daily'],
        ['blade-set', 'x10'],
        ['tuck-seated', 'x10 hold 2s'],
      ]),
    ).toEqual([]);
    expect(warned([['knee-angle-hold', '5x5s at 3 angles 50% every other day']])).toEqual([]);
    expect(warned([['band-row', '3x8 80% 1rm every other day']])).toEqual([]);
    expect(warned([])).toEqual([]);
  });
});
