import { withFamilies } from '../choose';
import { EXERCISES } from '@/catalogue';
import { sayPhrase } from '@/catalogue';
import { parseDose } from '../dose';
import type { SetUp, SetUpFact } from '../records';
import { localDate } from '../units';
import {
  type SetUpMeasure,
  isAbout,
  keptSetUp,
  measuredSetUp,
  readSetUp,
  sameFact,
  setUpOffers,
  shortSetUp,
  withOffers,
} from '.';

const ON = localDate('2026-11-26');
const exercise = (id: string) => {
  const found = EXERCISES.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
};
const dose = (line: string) => {
  const read = parseDose(line);
  if (!read.ok) throw new Error(read.say);
  return read.value;
};
const measure = (
  kind: SetUpMeasure['kind'],
  value: number | null,
  change: Partial<SetUpMeasure> = {},
): SetUpMeasure => ({ kind, side: null, value, body: null, id: `id-${kind}`, on: ON, ...change });
const facts = (id: string, line: string | null, ...measures: SetUpMeasure[]) =>
  measuredSetUp(exercise(id), line === null ? null : dose(line), { measures, findings: [] }).map(
    ({ fact }) => fact,
  );
const said = (fact: SetUpFact) => sayPhrase(readSetUp(fact));

describe('what was measured for an exercise (common practice, no source)', () => {
  it('the pad of a wall press is as thick as the wall gap, rounded down to what can be folded', () => {
    expect(facts('wall-press', '30s', measure('wall-gap', 47))).toEqual([{ kind: 'pad', cm: 4.5 }]);
    expect(facts('wall-press', '30s', measure('wall-gap', null))).toEqual([]);
    expect(facts('tuck-lying', '10x10s', measure('wall-gap', 47))).toEqual([]);
  });

  it('the blanket on a wedge levels ear and shoulder, under the trunk or under the head', () => {
    const blanket = (value: number) => facts('wedge-lying', '5min', measure('wedge-fit', value));
    expect(blanket(65)).toEqual([{ kind: 'blanket', cm: 6.5, under: 'trunk' }]);
    expect(blanket(-20)).toEqual([{ kind: 'blanket', cm: 2, under: 'head' }]);
    expect(blanket(1)).toEqual([{ kind: 'blanket', cm: 0.1, under: 'trunk' }]);
    expect(blanket(-1)).toEqual([{ kind: 'blanket', cm: 0.1, under: 'head' }]);
    expect(blanket(0)).toEqual([]);
    expect(facts('wedge-press', '3x10', measure('wedge-fit', 65))).toHaveLength(1);
  });

  it('looking up goes as high as it was controlled', () => {
    const angle = measure('controlled-looking-up', 27.6);
    expect(facts('look-up-push', 'x5 hold 3s', angle)).toEqual([
      { kind: 'looking up', degrees: 28 },
    ]);
    expect(facts('wall-press', '30s', angle)).toEqual([]);
  });

  it('a push is what the effort means of the measured maximum, on the sides that are worked', () => {
    const one = EXERCISES.find(({ strength }) => strength === 'strength-side');
    if (!one) throw new Error('no exercise by its side');
    const sides = (line: string) =>
      measuredSetUp(one, dose(line), {
        measures: [
          measure('strength-side', 98.0665, { side: 'left' }),
          measure('strength-side', 49.03325, { side: 'right' }),
        ],
        findings: [],
      }).map(({ fact }) => fact);
    expect(sides('3x30s 30-50% each side')).toEqual([
      { kind: 'push', side: 'left', least: 3, most: 5 },
      { kind: 'push', side: 'right', least: 1.5, most: 2.5 },
    ]);
    expect(sides('3x30s 40% right')).toEqual([{ kind: 'push', side: 'right', least: 2, most: 2 }]);
    expect(sides('3x30s rpe 4')).toEqual([]);
    expect(facts('tuck-lying', '10x10s 40%', measure('strength-side', 98))).toEqual([]);
  });

  it('a band is pulled out to so many lengths, from the dose itself', () => {
    expect(
      measuredSetUp(exercise('band-row'), dose('3x10 band medium stretch 50%'), {
        measures: [],
        findings: [],
      }),
    ).toEqual([{ fact: { kind: 'band', name: 'medium', lengths: 1.5 }, from: { kind: 'dose' } }]);
    expect(facts('band-row', '3x10 band medium')).toEqual([]);
    expect(facts('band-row', null)).toEqual([]);
  });

  it('the cue that worked goes to the exercises its finding asks for', () => {
    const finding = withFamilies({
      id: 'finding',
      key: 'cue-works neck-turn left',
      about: {
        rule: 'cue-works',
        measure: 'neck-turn' as const,
        side: 'left' as const,
        direction: null,
        part: null,
        numbers: {},
      },
      say: '',
      on: ON,
      cue: 'tuck first',
    });
    const cues = EXERCISES.filter(
      (one) => measuredSetUp(one, null, { measures: [], findings: [finding] }).length > 0,
    );
    expect(cues.length).toBeGreaterThan(0);
    expect(cues.length).toBeLessThan(EXERCISES.length / 2);
    const [first] = cues;
    expect(first && measuredSetUp(first, null, { measures: [], findings: [finding] })).toEqual([
      {
        fact: { kind: 'cue', cue: 'tuck first' },
        from: { kind: 'finding', id: 'finding', on: ON },
      },
    ]);
    expect(
      cues.flatMap((one) =>
        measuredSetUp(one, null, { measures: [], findings: [{ ...finding, cue: null }] }),
      ),
    ).toEqual([]);
  });
});

const FACTS: readonly SetUpFact[] = [
  { kind: 'pad', cm: 4.5 },
  { kind: 'pad', cm: 3.5 },
  { kind: 'blanket', cm: 6.5, under: 'trunk' },
  { kind: 'blanket', cm: 6.5, under: 'head' },
  { kind: 'blanket', cm: 5, under: 'trunk' },
  { kind: 'looking up', degrees: 28 },
  { kind: 'looking up', degrees: 30 },
  { kind: 'push', side: 'left', least: 3, most: 5 },
  { kind: 'push', side: 'right', least: 3, most: 5 },
  { kind: 'push', side: null, least: 2, most: 2 },
  { kind: 'push', side: 'left', least: 3, most: 6 },
  { kind: 'push', side: 'left', least: 2, most: 5 },
  { kind: 'band', name: 'medium', lengths: 1.5 },
  { kind: 'band', name: 'Clinic 3', lengths: 1.5 },
  { kind: 'band', name: 'medium', lengths: 2 },
  { kind: 'cue', cue: 'tuck first' },
  { kind: 'cue', cue: 'elbows in' },
];
const measured = (fact: SetUpFact, id = 'a'): SetUp => ({
  fact,
  from: { kind: 'measurement', id, on: ON },
});

describe('what is offered', () => {
  it('facts are the same only when every part of them is', () => {
    FACTS.forEach((a, i) =>
      FACTS.forEach((b, j) => expect([i, j, sameFact(a, b)]).toEqual([i, j, i === j])),
    );
  });

  it('a fact takes the place of another about the same thing; cues stand beside each other', () => {
    const about = FACTS.map((a) => FACTS.flatMap((b, j) => (isAbout(a, b) ? [j] : [])).join(' '));
    expect(about).toEqual([
      ...['0 1', '0 1', '2 3 4', '2 3 4', '2 3 4', '5 6', '5 6'],
      ...['7 10 11', '8', '9', '7 10 11', '7 10 11', '12 13 14', '12 13 14', '12 13 14', '', ''],
    ]);
  });

  it('is what is not on the line yet, and what was measured anew; the same again asks for nothing', () => {
    const [thick, thin] = [
      measured({ kind: 'pad', cm: 4.5 }),
      measured({ kind: 'pad', cm: 3.5 }, 'b'),
    ];
    expect(setUpOffers([], [thick])).toEqual([{ setUp: thick, replaces: null }]);
    expect(setUpOffers([thick], [measured(thick.fact, 'newer')])).toEqual([]);
    const offers = setUpOffers([thick], [thin]);
    expect(offers).toEqual([{ setUp: thin, replaces: thick }]);
    const cue = measured({ kind: 'cue', cue: 'tuck first' });
    expect(withOffers([thick, cue], offers)).toEqual([cue, thin]);
    expect(withOffers([cue], setUpOffers([cue], [thin]))).toEqual([cue, thin]);
    // A measure that was taken back leaves the line as it is.
    expect(setUpOffers([thick], [])).toEqual([]);
  });

  it('what still fits goes along when exercise or dose becomes another', () => {
    const all = FACTS.map((fact) => measured(fact));
    const kinds = (id: string, line: string) => [
      ...new Set(keptSetUp(all, exercise(id), dose(line)).map(({ fact }) => fact.kind)),
    ];
    expect(kinds('wall-press', '30s rpe 4')).toEqual(['pad', 'cue']);
    expect(kinds('wedge-lying', '5min')).toEqual(['blanket', 'cue']);
    expect(kinds('look-up-push', 'x5 hold 3s')).toEqual(['looking up', 'cue']);
    expect(kinds('band-row', '3x10 band medium stretch 50%')).toContain('band');
    expect(kinds('band-row', '3x10 band medium')).toEqual(['cue']);
    const pushed = EXERCISES.find(({ strength }) => strength === 'strength-side');
    const pushes = (line: string | null) =>
      pushed &&
      keptSetUp(all, pushed, line === null ? null : dose(line)).some(
        ({ fact }) => fact.kind === 'push',
      );
    expect([pushes('30s 40%'), pushes('30s rpe 4'), pushes(null)]).toEqual([true, false, false]);
  });
});

it('is said to the patient in full, and to the clinician in short', () => {
  expect(FACTS.map((fact) => [said(fact), shortSetUp(fact)])).toMatchInlineSnapshot(`
[
  [
    "Pad 4.5 cm thick, between your head and the wall",
    "pad 4.5 cm",
  ],
  [
    "Pad 3.5 cm thick, between your head and the wall",
    "pad 3.5 cm",
  ],
  [
    "Blanket folded 6.5 cm thick, under the length of your trunk",
    "6.5 cm under the trunk",
  ],
  [
    "Pad 6.5 cm thick, under your head",
    "6.5 cm under the head",
  ],
  [
    "Blanket folded 5 cm thick, under the length of your trunk",
    "5 cm under the trunk",
  ],
  [
    "Look up to 28° and no further: as high as you can keep up the push",
    "looking up to 28°",
  ],
  [
    "Look up to 30° and no further: as high as you can keep up the push",
    "looking up to 30°",
  ],
  [
    "To the left, push as hard as 3 to 5 kg press",
    "push of 3–5 kg to the left",
  ],
  [
    "To the right, push as hard as 3 to 5 kg press",
    "push of 3–5 kg to the right",
  ],
  [
    "Push as hard as 2 kg presses",
    "push of 2 kg",
  ],
  [
    "To the left, push as hard as 3 to 6 kg press",
    "push of 3–6 kg to the left",
  ],
  [
    "To the left, push as hard as 2 to 5 kg press",
    "push of 2–5 kg to the left",
  ],
  [
    "The medium band, pulled out to 1.5 times its length",
    "medium band at 1.5 lengths",
  ],
  [
    "The Clinic 3 band, pulled out to 1.5 times its length",
    "Clinic 3 band at 1.5 lengths",
  ],
  [
    "The medium band, pulled out to 2 times its length",
    "medium band at 2 lengths",
  ],
  [
    "tuck first",
    "cue “tuck first”",
  ],
  [
    "elbows in",
    "cue “elbows in”",
  ],
]
`);
});
