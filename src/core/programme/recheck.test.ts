import { SHIPPED } from '@/catalogue';
import { formatDose, parseDose } from '../dose';
import type { Exercise } from '../exercise';
import type { Trait } from '../screen';
import { type SentLine, flaggedLines } from '.';

const line = (exerciseId: string, dose: string, overrides: SentLine['overrides'] = []) => {
  const read = parseDose(dose);
  const exercise = SHIPPED.byId(exerciseId);
  if (!read.ok || !exercise) throw new Error(exerciseId);
  return {
    lineage: exerciseId,
    exerciseId,
    exercise,
    dose: read.value,
    text: formatDose(read.value),
    overrides,
  } as unknown as SentLine;
};
const found = (...given: Parameters<typeof flaggedLines>) =>
  flaggedLines(...given).map(({ name, precaution, trait }) => `${name}: ${precaution}, ${trait}`);

describe('a running programme beside what is known now', () => {
  it('is flagged for a precaution that came later', () => {
    const lines = [line('tuck-bench-edge', '60s 3/day'), line('blade-set', 'x10 hold 5s')];
    expect(found(lines, [], SHIPPED.byId)).toEqual([]);
    expect(found(lines, ['osteoporosis'], SHIPPED.byId)).toEqual([
      'Tuck over a bench edge: osteoporosis, bench edge',
    ]);
  });
  it('is flagged for what its dose adds, and not for a shorter one', () => {
    const press = (dose: string) => [line('wall-press', dose)];
    expect(found(press('3x60s rpe 3-5'), ['pressure or heart'], SHIPPED.byId)).toHaveLength(1);
    expect(found(press('3x20s rpe 3-5'), ['pressure or heart'], SHIPPED.byId)).toEqual([]);
  });
  it('is flagged for a trait that an exercise was given since, its own name as it was sent', () => {
    const lines = [line('calf-raise', '2x12 slow')];
    const byId = (id: string): Exercise | null => {
      const now = SHIPPED.byId(id);
      return now && { ...now, name: 'Renamed', traits: ['straining'] as Trait[] };
    };
    expect(found(lines, ['straining'], byId)).toEqual(['Calf raise: straining, straining']);
  });
  it('keeps what was gone against with a reason, for that precaution and trait alone', () => {
    const reason = { precaution: 'osteoporosis', trait: 'bench edge', reason: 'Scan is good' };
    const lines = [line('tuck-bench-edge', '60s', [reason] as SentLine['overrides'])];
    expect(found(lines, ['osteoporosis'], SHIPPED.byId)).toEqual([]);
    expect(found(lines, ['osteoporosis', 'arm symptoms'], SHIPPED.byId)).toEqual([
      'Tuck over a bench edge: arm symptoms, bench edge',
    ]);
  });
  it('says nothing of an exercise a clinic took back', () => {
    expect(found([line('blade-set', 'x10 hold 5s')], ['surgery arm'], () => null)).toEqual([]);
  });
});
