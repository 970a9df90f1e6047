import { SAID_PARTS, untaught } from '@/core/teach';
import { NOTHING_TAUGHT, nextStep, taughtOf, teachingIn, toggled, withLine } from './teach-state';

const line = untaught('a');
const SAID = { ...line, said: [...SAID_PARTS] };

describe('the one key of the run sheet', () => {
  it('says the six things in their order', () => {
    const said: string[] = [];
    let now = line;
    for (let press = 0; press < SAID_PARTS.length; press += 1) {
      const step = nextStep(now, null);
      if (step.kind !== 'say') throw new Error(step.kind);
      said.push(step.part);
      now = { ...now, said: toggled(now.said, step.part) };
    }
    expect(said).toEqual([...SAID_PARTS]);
    expect(nextStep(now, null)).toEqual({ kind: 'demonstrate' });
  });

  it('comes back to what was left out in the middle', () => {
    const without = { ...SAID, said: SAID_PARTS.filter((part) => part !== 'risk') };
    expect(nextStep(without, null)).toEqual({ kind: 'say', part: 'risk' });
  });

  it('demonstrates, then watches, then asks what it cannot answer itself', () => {
    expect(nextStep({ ...SAID, demonstrated: true }, null)).toEqual({ kind: 'watch' });
    const shown = { ...SAID, demonstrated: true, watched: true };
    expect(nextStep(shown, null)).toEqual({ kind: 'ask', question: 'felt' });
    expect(nextStep(shown, 'felt')).toEqual({ kind: 'ask', question: 'comfortable' });
    expect(nextStep(shown, 'questions')).toEqual({ kind: 'next page' });
  });

  it('goes past what is answered, and on to the next page when all is', () => {
    const answered = {
      ...SAID,
      demonstrated: true,
      watched: true,
      felt: ['front left neck'] as const,
      comfortable: 'yes' as const,
      breathing: null,
      questions: '',
    };
    expect(nextStep(answered, null)).toEqual({ kind: 'ask', question: 'breathing' });
    expect(nextStep({ ...answered, breathing: 'no' }, null)).toEqual({ kind: 'next page' });
  });
});

describe('a teaching under way', () => {
  it('is kept by line, so that it outlives a new version', () => {
    const teaching = withLine(NOTHING_TAUGHT, SAID);
    expect(taughtOf(teaching, 'a')).toEqual(SAID);
    expect(taughtOf(teaching, 'b')).toEqual(untaught('b'));
    expect(teachingIn(JSON.parse(JSON.stringify(teaching)))).toEqual(teaching);
  });

  it('begins anew where what was kept is none of ours', () => {
    for (const kept of [null, 7, 'x', {}, { lines: 3 }, []])
      expect(teachingIn(kept)).toEqual(NOTHING_TAUGHT);
  });

  it('ticks and unticks', () => {
    expect(toggled(['a'], 'b')).toEqual(['a', 'b']);
    expect(toggled(['a', 'b'], 'a')).toEqual(['b']);
  });
});
