import { setupI18n } from '@lingui/core';
import { ENGLISH, patientWords } from '@/catalogue';
import { parseDose } from '@/core/dose';
import type { PackLine } from '@/core/exchange';
import { type PlayedSegment, resolve, sessionTimeline } from '@/core/timeline';
import type { Say } from './say';
import {
  countWords,
  cueWords,
  segmentSpoken,
  segmentWord,
  sideWords,
  wayWord,
} from './segment-words';

const i18n = setupI18n({ locale: 'en', messages: { en: { ...patientWords(ENGLISH) } } });
const say: Say = (key, values) => i18n._(key, values);

function lineOf(text: string, mode: PackLine['mode'] = 'held'): PackLine {
  const dose = parseDose(text);
  if (!dose.ok) throw new Error(dose.say);
  return {
    lineage: 'a',
    name: 'Tuck',
    steps: [],
    cues: [],
    needs: '',
    words: '',
    dose: dose.value,
    mode,
    position: 'sitting',
    share: 0,
    figure: null,
    picture: null,
    description: '',
  };
}
const played = (line: PackLine): PlayedSegment[] => resolve(sessionTimeline([line]), 'least');
const words = (line: PackLine) => played(line).map((segment) => segmentWord(segment, line, say));

describe('what the player says', () => {
  it('goes through a held exercise in words', () => {
    expect(words(lineOf('2x10s gap 5s'))).toEqual([
      'Get ready',
      'Go into it',
      'Hold',
      'Ease off',
      'Short pause',
      'Go into it',
      'Hold',
      'Ease off',
    ]);
  });

  it('only moves where the exercise is moved, and stays where it is lain', () => {
    expect(words(lineOf('x2 move 4s', 'moved'))).toEqual(['Get ready', 'Move', 'Move']);
    expect(words(lineOf('5min', 'lain'))).toContain('Stay there');
  });

  it('says the measured set-up while getting ready, and at no other time', () => {
    const line = { ...lineOf('2x10s'), setUp: ['Pad 4.5 cm thick'] };
    const spoken = played(line).map((segment) => segmentSpoken(segment, line, say));
    expect(spoken[0]).toBe('Get ready, 3 seconds. Pad 4.5 cm thick');
    expect(spoken.slice(1).join()).not.toContain('Pad');
  });

  it('names the barrier, the side and the change of side', () => {
    expect(words(lineOf('30s at 3 barriers'))).toEqual(
      expect.arrayContaining(['Hold, pull 1', 'Hold, pull 2', 'Hold, pull 3']),
    );
    const line = lineOf('x1 hold 5s each side');
    expect(words(line)).toContain('Change side');
    const hold = played(line).filter(({ kind }) => kind === 'hold');
    expect(hold.map((segment) => segmentSpoken(segment, line, say))).toEqual([
      'Hold, Left side, 5 seconds',
      'Hold, Right side, 5 seconds',
    ]);
  });

  it('counts sets, directions and angles only where there are several', () => {
    const counts = (line: PackLine) => {
      const segments = played(line);
      const last = segments.filter(({ kind }) => kind === 'hold').at(-1);
      return last ? countWords(last, segments, line, say) : '';
    };
    expect(counts(lineOf('3x10s'))).toBe('3 of 3');
    expect(counts(lineOf('3x5 hold 2s rest 30s'))).toBe('set 3 of 3 · 5 of 5');
    expect(counts(lineOf('2x5s in 4 directions'))).toBe('direction 4 of 4 · 2 of 2');
    expect(counts(lineOf('5x5s at 3 angles rest 60s'))).toBe('angle 3 of 3 · 5 of 5');
    const ready = played(lineOf('3x10s'))[0];
    expect(ready && countWords(ready, played(lineOf('3x10s')), lineOf('3x10s'), say)).toBe('');
  });

  it('names the direction instead of its number, and says the next one, not a rest', () => {
    const line: PackLine = {
      ...lineOf('1x5s in 4 directions gap 3s'),
      directions: ['front', 'back', 'left', 'right'],
    };
    const all = played(line);
    expect(words(line)).toContain('Next direction');
    expect(words(line)).not.toContain('Rest');
    expect(
      all.filter(({ kind }) => kind === 'hold').map((one) => segmentSpoken(one, line, say)),
    ).toEqual([
      'Hold, forwards, 5 seconds',
      'Hold, backwards, 5 seconds',
      'Hold, to the left, 5 seconds',
      'Hold, to the right, 5 seconds',
    ]);
    const next = all.filter(({ kind }) => kind === 'next-direction');
    expect(next.map((one) => wayWord(one, line, say))).toEqual([
      'backwards',
      'to the left',
      'to the right',
    ]);
    const last = all.at(-1);
    expect(last && countWords(last, all, line, say)).toBe('to the right · 1 of 1');
    expect(words(lineOf('5s at 3 angles'))).toContain('Next angle');
  });

  it('says in full what a side is, before it comes', () => {
    const line: PackLine = {
      ...lineOf('x1 hold 5s each side'),
      sides: { name: 'lengthened', left: 'stretches the left', right: 'stretches the right' },
    };
    const spoken = played(line).map((one) => segmentSpoken(one, line, say));
    expect(spoken[0]).toBe('Get ready, stretches the left, 3 seconds');
    expect(spoken).toContain('Change side, stretches the right, 5 seconds');
    expect(spoken).toContain('Hold, Right side, 5 seconds');
    const hold = played(line).filter(({ kind }) => kind === 'hold');
    expect(hold.map((one) => sideWords(one, line))).toEqual([
      'stretches the left',
      'stretches the right',
    ]);
    // Packs of before have no words for their sides.
    expect(sideWords(hold[0] as PlayedSegment, lineOf('x1 hold 5s left'))).toBe('');
  });

  it('reminds of the shoulders, of the breath, and in the exercise’s own words', () => {
    expect(cueWords(null, say)).toBe('');
    expect(cueWords({ kind: 'shoulders' }, say)).toBe('Shoulders down.');
    expect(cueWords({ kind: 'own', text: 'Eyes level' }, say)).toBe('Eyes level');
    expect(cueWords({ kind: 'breath', phase: 'in', count: 3 }, say)).toBe('Breathe in, 3');
  });
});
