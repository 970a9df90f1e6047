import { SHIPPED } from '@/catalogue';
import { withFamilies } from '@/core/choose';
import { ABOUT_NOTHING } from '@/core/findings';
import type { WallMinute, Zone } from '@/core/schedule';
import { localDate } from '@/core/units';
import type { DeskFacts } from '../desk-facts';
import { newLine, plannedLines } from '../draft';
import type { Settled } from '../use-settled';
import { type Beside, reckonedOf } from './reckoner';

const FIRST = localDate('2026-11-23');
const facts: DeskFacts = {
  patientId: 'quay',
  episodes: [],
  catalogue: SHIPPED,
  precautions: [],
  waking: { wake: 420 as WallMinute, sleep: 1320 as WallMinute },
  zone: 'Europe/Berlin' as Zone,
  home: null,
  maxima: [],
  bands: [],
  setUp: { measures: [], findings: [] },
  goodSessions: 3,
  leastRungDays: 7,
};
const given: Beside = {
  blocked: false,
  screened: 'current',
  findings: [
    withFamilies({
      key: 'deep-flexors',
      about: { ...ABOUT_NOTHING, rule: 'deep-flexors' },
      say: 'The front of the neck is weak',
    }),
  ],
  minutesADay: 2,
  dragged: {},
};

function settled(...doses: readonly (readonly [string, string])[]): Settled {
  const lines = doses.map(([exerciseId, dose]) => newLine(exerciseId, exerciseId, dose));
  const planned = plannedLines(lines, SHIPPED, FIRST);
  return {
    desk: { lines, rounds: 1, effectiveFrom: FIRST, reviewOn: '', reason: '' },
    frame: { from: FIRST, review: null, rounds: 1 },
    planned,
    lines: lines.map(({ uid, exerciseId }) => ({
      id: uid,
      name: exerciseId,
      planned: planned.find(({ lineage }) => lineage === uid) ?? null,
      missing: [],
      assumed: [],
      offers: [],
      flags: [],
      openFlags: [],
    })),
  };
}
const two = settled(
  ['tuck-lying', '10x10s gap 5s 3/day'],
  ['blade-set', '3x10 hold 5s rest 60s daily'],
);

it('is one reckoning for every part that shows it', () => {
  const [checks, day, ahead] = [1, 2, 3].map(() => reckonedOf(facts, two, given));
  expect(day?.day).toBe(checks?.day);
  expect(day?.cuts()).toBe(checks?.cuts());
  expect(ahead?.calendar()).toBe(day?.calendar());
  expect(ahead?.checks()).toBe(checks?.checks());
});

it('is reckoned anew for another desk, other circumstances and another patient', () => {
  const before = reckonedOf(facts, two, given).checks();
  const areas = (of: typeof before) => of.map(({ area, say }) => `${area}: ${say}`);
  const one = reckonedOf(facts, settled(['blade-set', '3x10 hold 5s rest 60s daily']), given);
  expect(areas(one.checks())).toContain(
    'covers: Nothing for the main finding: The front of the neck is weak',
  );
  expect(areas(before).some((say) => say.startsWith('covers'))).toBe(false);
  expect(areas(reckonedOf(facts, two, { ...given, blocked: true }).checks())).toContain(
    'safe: The screening blocks prescribing: record under Screen what was done and why.',
  );
  const late = { ...facts, waking: { wake: 600 as WallMinute, sleep: 1320 as WallMinute } };
  expect(reckonedOf(late, two, given).ribbon.wake).toBe(600);
  expect(reckonedOf(facts, two, given).ribbon.wake).toBe(420);
});

it('offers cuts where the day is longer than the minutes there are, and none where nobody has asked', () => {
  expect(reckonedOf(facts, two, given).cuts().length).toBeGreaterThan(0);
  expect(reckonedOf(facts, two, { ...given, minutesADay: null }).cuts()).toEqual([]);
  // Beyond forty lines each cut would time the whole day anew.
  const long = settled(
    ...Array.from({ length: 41 }, () => ['blade-set', '3x10 hold 5s rest 60s daily'] as const),
  );
  expect(reckonedOf(facts, long, given).cuts()).toEqual([]);
});
