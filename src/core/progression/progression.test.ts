import {
  NO_SETTINGS,
  SCHOOLS,
  applySchool,
  attachSchool,
  beyondBounds,
  schoolsFor,
  startDose,
} from '../school';
import type { SchoolId } from '../exercise';
import fc from 'fast-check';
import { EXERCISES } from '@/catalogue';
import { type Dose, formatDose, parseDose, repsOf, doseOf } from '../dose';
import { SCHOOL_IDS, type Exercise } from '../exercise';
import type { WallMinute } from '../schedule';
import {
  DISAGREEMENTS,
  SCHOOL_RULES,
  type Standing,
  compareSchools,
  disagreementsOn,
  nextHold,
} from '.';
import { measureDose } from './compare';

const waking = { wake: 420 as WallMinute, sleep: 1320 as WallMinute };
const exercise = (id: string): Exercise => {
  const found = EXERCISES.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
};
/** A line that has gone well, with nothing else known. */
const standing = (one: Exercise, dose: Dose): Standing => ({
  exercise: one,
  dose,
  settings: NO_SETTINGS,
  sessions: [],
  owned: [],
  unit: 'kg',
  bands: [],
  past: [dose],
});
const apply = (
  line: string,
  id: string,
  school: (typeof SCHOOL_IDS)[number],
  settings = NO_SETTINGS,
) => applySchool(doseOf(line), exercise(id), { id: school, settings });

describe('every school', () => {
  it.each(SCHOOL_IDS)(
    '%s starts where its own bounds allow, with a dose that can be read back',
    (id) => {
      const fitting = EXERCISES.filter((one) => schoolsFor(one).includes(id));
      expect(fitting.length).toBeGreaterThan(0);
      for (const one of fitting) {
        const dose = startDose(id, one, NO_SETTINGS);
        expect([one.id, id, beyondBounds(SCHOOLS[id], dose)]).toEqual([one.id, id, null]);
        const { dose: applied, later } = applySchool(doseOf(one.usualDose), one, {
          id,
          settings: NO_SETTINGS,
        });
        for (const each of [applied, ...later.map((phase) => phase.dose)]) {
          const back = parseDose(formatDose(each));
          expect([one.id, back.ok && formatDose(back.value)]).toEqual([one.id, formatDose(each)]);
        }
      }
    },
  );

  it('never grows beyond its bounds, however often it succeeds', () => {
    fc.assert(
      fc.property(fc.constantFrom(...EXERCISES), fc.nat(30), (one, times) => {
        for (const id of schoolsFor(one)) {
          let dose = startDose(id, one, NO_SETTINGS);
          for (let time = 0; time < times; time += 1) {
            const growth = SCHOOL_RULES[id].next(standing(one, dose));
            if (growth.kind !== 'dose') break;
            dose = growth.dose;
            expect(beyondBounds(SCHOOLS[id], dose)).toBeNull();
          }
        }
      }),
    );
  });
});

describe('changing the school of a line', () => {
  it('rewrites the dose, keeps side and end, and says what changed', () => {
    const { dose, changes } = apply(
      '3x10s gap 10s left 2/day daily until 21 days',
      'side-plank',
      'descending-sets',
    );
    expect(formatDose(dose)).toBe('6-4-2 hold 10-15s rest 20-30s left 2/day daily until 21 days');
    expect(changes.map(({ part }) => part)).toEqual(['head', 'hold', 'gap', 'rest']);
  });

  it.each<[SchoolId, string, string]>([
    ['lengthen', 'wall-press', '10x5s left 30% 2/day'],
    ['climb', 'wall-press', '3x30s rpe 4'],
    ['volume-load', 'band-row', '3x12 band firm rpe 6 mon thu'],
    ['volume-load', 'band-row', '3x10-15 10kg every other day'],
    ['ascending', 'band-row', '3x10 10/15/20kg'],
    ['ascending', 'band-row', '3x10 50/75/100% 10rm'],
    ['adjustable', 'band-row', '10-6-6-6 50/75/100/100% 10rm'],
    ['descending-sets', 'side-plank', '6-4-2 hold 12s left'],
    ['barriers', 'side-neck-stretch', '20s at 2 barriers right 3/day'],
    ['angles', 'knee-angle-hold', '3x5s at 2 angles 30%'],
    ['pain-relief', 'shrug-hold', '2min 40%'],
    ['repeated', 'press-up', 'x10 6/day'],
  ])('%s goes on from %s as written: %s', (school, one, line) => {
    const choice = { id: school, settings: NO_SETTINGS };
    expect(attachSchool(doseOf(line), exercise(one), choice)).toEqual({ kind: 'kept' });
  });

  it.each<[SchoolId, string, string, string]>([
    ['lengthen', 'wall-press', 'x10 left 30% 2/day', '3x30s'],
    ['lengthen', 'wall-press', 'x5 hold 2min 30%', '3x30s'],
    ['volume-load', 'band-row', '3x30s rpe 6', 'x'],
    ['ascending', 'band-row', '3x10 10kg 2/day', '50/75/100% 10rm'],
    ['adjustable', 'band-row', '3x10 50/75/100% 10rm', '10-6-max-max'],
    ['descending-sets', 'side-plank', '3x10s left 2/day', '6-4-2'],
    ['barriers', 'side-neck-stretch', '30s right', 'barriers'],
    ['angles', 'knee-angle-hold', '5x5s 30%', 'at 3 angles'],
    ['pain-relief', 'shrug-hold', '3x30s 40%', 'x1 hold 60s'],
  ])('%s asks about %s %s, and shows what it would become', (school, one, line, shown) => {
    const asked = attachSchool(doseOf(line), exercise(one), { id: school, settings: NO_SETTINGS });
    if (asked.kind !== 'asks') throw new Error('kept');
    const { dose, changes } = asked.applied;
    expect(formatDose(dose)).toContain(shown);
    expect(changes.length).toBeGreaterThan(0);
    // Side, times a day and how hard it is survive, unless the school is a scheme of loads.
    const before = doseOf(line);
    expect([dose.side, dose.times]).toEqual([before.side, before.times]);
    if (!shown.includes('10rm') && !shown.includes('10-6'))
      expect([dose.effort, dose.band]).toEqual([before.effort, before.band]);
  });

  it('raises loads among the weights at home, and says why where none fits', () => {
    const grow = (line: string, owned: readonly number[]) => {
      const growth = SCHOOL_RULES['volume-load'].next({
        ...standing(exercise('straight-leg-raise'), doseOf(line)),
        owned,
      });
      return growth.kind === 'dose' ? formatDose(growth.dose) : growth.why;
    };
    expect(grow('3x10-15 20kg', [])).toBe('3x10-15 22.5kg');
    expect(grow('3x10-15 20kg', [10, 20, 22, 30])).toBe('3x10-15 22kg');
    expect(grow('3x10-15 20kg', [10, 20, 30])).toContain('30');
    expect(grow('3x10-15 20kg', [10, 20])).toContain('it needs a 22.5 kg weight');
    expect(grow('3x10-15 80% 10rm', [])).toContain('the ten-rep maximum is asked for');
    expect(grow('3x10-15 adj kg', [])).toContain('set during the session');
  });

  it('writes the phases of volume, then load into lines of their own (common practice, no source)', () => {
    const { dose, later } = apply(
      '2x15 each side until review',
      'straight-leg-raise',
      'volume-load',
    );
    expect(formatDose(dose)).toBe('2x20-30 rest 60s each side daily until 14 days');
    expect(later.map((phase) => formatDose(phase.dose))).toEqual([
      '3x10-15 rest 60s each side every other day from day 15 until 56 days',
      '5x5-7 rest 2min each side warm-up 2 every other day from day 57 until review',
    ]);
    // What is lifted goes with them.
    expect(
      apply('2x15 2kg each side', 'straight-leg-raise', 'volume-load').later.map((phase) =>
        formatDose(phase.dose),
      ),
    ).toEqual([
      '3x10-15 2kg rest 60s each side every other day from day 15 until 56 days',
      '5x5-7 2kg rest 2min each side warm-up 2 every other day from day 57 until review',
    ]);
    // 20–60 reps while learning; 30 → 45; then 25–35, of which the first two sets are warm-ups.
    expect(repsOf(doseOf('1-2x20-30'))).toEqual({ least: 20, most: 60 });
    expect(repsOf(doseOf('3x10-15'))).toEqual({ least: 30, most: 45 });
    expect(repsOf(doseOf('5x5-7'))).toEqual({ least: 25, most: 35 });
  });

  it('computes loads where the ten-rep maximum is known', () => {
    const known = { ...NO_SETTINGS, tenRepMaximum: 20 };
    expect(formatDose(apply('2x10', 'band-row', 'ascending', known).dose)).toContain(
      '3x10 10/15/20kg',
    );
    expect(formatDose(apply('2x10', 'band-row', 'adjustable', known).dose)).toContain(
      '10-6-max-max 10/15/20/adj kg',
    );
    expect(formatDose(apply('2x10', 'band-row', 'ascending').dose)).toContain('50/75/100% 10rm');
  });
});

describe('growing', () => {
  it('lengthens 3 → 5 → 10 s at once; 10 → 30 → 60 s by half as much again, or straight if a clinician chooses (common practice, no source)', () => {
    const climb = (line: string, stations: readonly number[]) => {
      const seen: string[] = [];
      for (let step = nextHold(doseOf(line), stations); step; step = nextHold(step.dose, stations))
        seen.push(
          formatDose(step.dose) + (step.straight ? ` or ${formatDose(step.straight)}` : ''),
        );
      return seen;
    };
    expect(climb('x10 hold 3s', [3, 5, 10])).toEqual(['x10 hold 5s', 'x10 hold 10s']);
    expect(climb('3x10s', [10, 30, 60])).toEqual([
      '3x15s or 3x30s',
      '3x20s or 3x30s',
      '3x30s',
      '3x45s or 3x60s',
      '3x60s',
    ]);
    expect(climb('x5 hold 4s', [4, 8])).toEqual(['x5 hold 8s']);
    // Never more than twice as long: 1 s does not become 15.
    expect(climb('x10 hold 1s', [15])[0]).toBe('x10 hold 2s or x10 hold 15s');
    // A range first grows inside itself.
    expect(climb('3x10-15s', [10, 15, 30])).toEqual(['3x15s', '3x20s or 3x30s', '3x30s']);
    expect(climb('3x10-30s', [60])[0]).toBe('3x15-30s');
    expect(climb('3x60s', [60])).toEqual([]);
  });

  it('stays inside the method the line came from, whatever the school', () => {
    const ends = (id: string, line: string) => {
      const growth = SCHOOL_RULES.lengthen.next(standing(exercise(id), doseOf(line)));
      return growth.kind === 'dose' ? formatDose(growth.dose) : growth.kind;
    };
    expect(ends('six-way-hold', '3x10s in 6 directions')).toBe('next rung');
    expect(ends('wedge-lying', '5min')).toBe('450s');
    // Ten minutes are its end; it is lain in twice a day then.
    expect(ends('wedge-lying', '10min')).toBe('10min 2/day');
    expect(ends('wedge-lying', '10min 2/day')).toBe('next rung');
    expect(ends('block-opening', '10min')).toBe('15min');
    expect(ends('block-opening', '15min')).toBe('next rung');
    expect(ends('nod-hold-finger-check', 'x10 hold 5s')).toBe('x10 hold 5s 2/day');
    expect(ends('nod-hold-finger-check', 'x10 hold 5s 2/day')).toBe('x10 hold 5s 3/day');
    expect(ends('nod-hold-finger-check', 'x10 hold 5s 3/day')).toBe('next rung');
  });

  it('aims a pain-relief hold from one minute towards five', () => {
    let dose = startDose('pain-relief', exercise('wall-press'), NO_SETTINGS);
    const seen = [dose.hold?.least];
    const next = () => SCHOOL_RULES['pain-relief'].next(standing(exercise('wall-press'), dose));
    for (let growth = next(); growth.kind === 'dose'; growth = next()) {
      dose = growth.dose;
      seen.push(dose.hold?.least);
    }
    expect(seen).toEqual([60, 90, 120, 180, 240, 300]);
  });
});

describe('the same exercise under each school', () => {
  it('shows contractions, held seconds and minutes of a day, and the week', () => {
    const rows = compareSchools(
      doseOf('10x10s gap 5s daily'),
      exercise('tuck-lying'),
      waking,
      NO_SETTINGS,
    );
    const by = new Map(rows.map((row) => [row.id, row]));
    // Ten of ten seconds: 100 s; 6-4-2 of 10–15 s: 12 holds, 120–180 s (common practice).
    expect(by.get('climb')?.measure).toMatchObject({
      contractions: { least: 10, most: 10 },
      heldSecondsADay: { least: 100, most: 100 },
      daysAWeek: 7,
    });
    expect(by.get('descending-sets')?.measure).toMatchObject({
      contractions: { least: 12, most: 12 },
      heldSecondsADay: { least: 120, most: 180 },
    });
    expect(by.get('lengthen')?.measure.heldSecondsADay).toEqual({ least: 30, most: 30 });
  });
  it('counts a single hold as one, and a single repetition', () => {
    const of = (text: string) =>
      measureDose(doseOf(text), exercise('tuck-lying'), waking).contractions;
    expect(of('30s')).toEqual({ least: 1, most: 1 });
    expect(of('x1')).toEqual({ least: 1, most: 1 });
    expect(of('2x30s 3/day')).toEqual({ least: 6, most: 6 });
  });
  it('counts half the days for every other day', () => {
    const [row] = compareSchools(
      doseOf('x1'),
      exercise('knee-angle-hold'),
      waking,
      NO_SETTINGS,
    ).filter(({ id }) => id === 'angles');
    expect(row?.measure).toMatchObject({
      daysAWeek: 3.5,
      heldSecondsADay: { least: 75, most: 75 },
      repsAWeek: { least: 52.5, most: 52.5 },
    });
  });
});

it('offers both sides of every disagreement, with a dose that can be read', () => {
  for (const { positions } of DISAGREEMENTS) {
    expect(positions.length).toBeGreaterThanOrEqual(2);
    for (const { dose, consequence } of positions) {
      expect(consequence).not.toBe('');
      if (dose) expect(parseDose(dose).ok).toBe(true);
    }
  }
  expect(disagreementsOn('Neck hold').map(({ about }) => about)).toContain('How long to hold');
});
