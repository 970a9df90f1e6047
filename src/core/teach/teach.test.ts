import { ABOUT_NOTHING } from '../findings';
import {
  type NoteFacts,
  type TaughtLine,
  SAID_PARTS,
  cuesByLineage,
  expectedParts,
  feltVerdict,
  feltWords,
  findingsAnswered,
  gapsOfLine,
  noteAsText,
  sentencesFor,
  taughtInWords,
  teachingGaps,
  untaught,
  visitNote,
} from '.';

const FULL: TaughtLine = {
  ...untaught('a'),
  said: [...SAID_PARTS],
  demonstrated: true,
  watched: true,
  felt: ['front left neck'],
  comfortable: 'yes',
  breathing: 'yes',
  questions: '',
};
const FACTS = {
  lineage: 'a',
  name: 'Tuck',
  expected: expectedParts(['deep neck flexors']),
  missing: [],
};
const CLOSED = { doseSaidAgain: true, dayToComeBack: true };

describe('what has been taught', () => {
  it('has no gap when all was said, shown and asked', () => {
    expect(teachingGaps([FACTS], [FULL], CLOSED, true)).toEqual([]);
  });

  it('names every part that was left out, in the order of the sheet', () => {
    const gaps = gapsOfLine(FACTS, { ...FULL, said: ['kind', 'why'], watched: false });
    expect(gaps.map(({ say }) => say)).toEqual([
      'Tuck: the muscle was not said.',
      'Tuck: the risk was not said.',
      'Tuck: the numbers were not said.',
      'Tuck: when to stop was not said.',
      'Tuck: the patient has not shown it.',
    ]);
  });

  it('says in one sentence that an exercise was not taught at all', () => {
    expect(gapsOfLine(FACTS, untaught('a')).map(({ say }) => say)).toEqual(['Tuck: not taught.']);
    expect(teachingGaps([FACTS], [], CLOSED, true)).toHaveLength(1);
  });

  it('warns of a rest that is not written, however well it was taught (rests are forgotten most often; common practice, no source)', () => {
    const missing = ['half a minute of rest between sets (assumed)'];
    expect(gapsOfLine({ ...FACTS, missing }, FULL).map(({ say }) => say)).toEqual([
      'Tuck: not written in the dose: half a minute of rest between sets (assumed).',
    ]);
  });

  it('wants a fix where it is felt elsewhere, or is not comfortable', () => {
    const elsewhere = { ...FULL, felt: ['back left calf'] as const };
    expect(gapsOfLine(FACTS, elsewhere)).toHaveLength(1);
    expect(gapsOfLine(FACTS, { ...elsewhere, cue: 'Towel under the head' })).toEqual([]);
    expect(gapsOfLine(FACTS, { ...FULL, comfortable: 'no' })).toHaveLength(1);
    expect(gapsOfLine(FACTS, { ...FULL, faults: [{ fault: 'Jaw', fix: '' }] })).toHaveLength(1);
  });

  it('wants consent, the doses again and the day to come back', () => {
    const open = { doseSaidAgain: false, dayToComeBack: false };
    expect(teachingGaps([FACTS], [FULL], open, false).map(({ line }) => line)).toEqual([
      null,
      null,
      null,
    ]);
  });
});

describe('where it is felt', () => {
  it('is compared with where it should be felt', () => {
    const neck = expectedParts(['deep neck flexors']);
    expect(neck).toContain('neck');
    expect(feltVerdict(neck, [])).toBe('not asked');
    expect(feltVerdict(neck, ['front right neck'])).toBe('as expected');
    expect(feltVerdict(neck, ['front right neck', 'front right hand'])).toBe('partly elsewhere');
    expect(feltVerdict(neck, ['front right hand'])).toBe('elsewhere');
    expect(feltVerdict([], ['front right hand'])).toBe('unknown');
    expect(feltWords('elsewhere', neck)).toMatch(/neck/);
  });
});

describe('a patient’s own reminders', () => {
  it('are the reminder, then the fixes that were used', () => {
    const line = { ...FULL, cue: 'Towel under the band', faults: [{ fault: 'x', fix: 'Chin in' }] };
    expect(cuesByLineage([[line]]).get('a')).toEqual(['Towel under the band', 'Chin in']);
  });

  it('follow the newest teaching that fixed something', () => {
    const first = { ...FULL, cue: 'Old' };
    expect(cuesByLineage([[first], [{ ...FULL, cue: 'New' }]]).get('a')).toEqual(['New']);
    expect(cuesByLineage([[first], [FULL]]).get('a')).toEqual(['Old']);
    expect(cuesByLineage([[FULL]]).size).toBe(0);
  });
});

const LINE = {
  lineage: 'a',
  exercise: {
    name: 'Tuck lying down',
    purpose: 're-educate' as const,
    muscles: ['deep neck flexors'],
    watch: 'Shoulders down.',
    stop: 'Dizziness.',
    family: 'Nod and tuck, lying' as const,
  },
  words: '10 times.',
  setUp: [],
  missing: [],
  overridden: [],
};
const WEAK = {
  about: { ...ABOUT_NOTHING, rule: 'deep-flexors' },
  key: 'deep-flexors',
  say: 'Deep neck flexors: 14 s, below the reference.',
  towards: '',
};

describe('the run sheet', () => {
  it('says kind, muscle, why you, risk, numbers and when to stop, in this order', () => {
    const said = sentencesFor(LINE, []);
    expect(said.map(({ part }) => part)).toEqual([...SAID_PARTS]);
    expect(said.at(-1)?.say).toMatch(/^Dizziness\. Pain means stop/);
    expect(said.find(({ part }) => part === 'why')?.say).toMatch(/^No confirmed finding/);
  });

  it('names the finding the exercise answers', () => {
    expect(findingsAnswered(LINE.exercise, [WEAK])).toEqual([WEAK]);
    expect(sentencesFor(LINE, [WEAK])[2]?.say).toBe(WEAK.say);
  });

  it('says what is not written instead of leaving it out', () => {
    const numbers = sentencesFor({ ...LINE, missing: ['which side?'] }, [])[4];
    expect(numbers?.say).toBe('10 times. Not written: which side?.');
    const bare = { ...LINE, exercise: { ...LINE.exercise, muscles: [], watch: '' } };
    expect(sentencesFor(bare, [])[1]?.say).toBe('Not written.');
    expect(sentencesFor({ ...bare, overridden: ['Goes ahead: asked.'] }, [])[3]?.say).toBe(
      'Goes ahead: asked.',
    );
  });
});

describe('a teaching in words', () => {
  it('tells what was done and what was not', () => {
    expect(taughtInWords('Tuck', FULL)).toBe(
      'Tuck: said in full; demonstrated, shown by the patient; felt front left neck, comfortable, breathing freely.',
    );
    expect(taughtInWords('Tuck', untaught('a'))).toBe(
      'Tuck: nothing said; not demonstrated, not shown by the patient.',
    );
  });
});

const EMPTY: NoteFacts = {
  complaint: '',
  history: [],
  irritability: null,
  goals: [],
  screening: [],
  measures: [],
  findings: [],
  programme: null,
  teaching: [],
  review: null,
};

describe('the visit note', () => {
  it('has four parts, and says what is missing', () => {
    expect(visitNote(EMPTY)).toEqual({
      subjective: 'Complaint not recorded.',
      objective: 'Nothing was measured at this visit.',
      assessment: 'No finding is confirmed yet.',
      plan: 'No programme yet.\nNo review date is set.',
    });
  });

  it('puts the record into them, and nothing else', () => {
    const note = visitNote({
      ...EMPTY,
      complaint: 'Stiff neck',
      history: [
        ['Onset', 'Over two winters'],
        ['Night', ''],
      ],
      goals: ['Ring the bell'],
      measures: ['Neck turn left: 61°'],
      findings: ['Weak flexors'],
      programme: { heading: 'Version 2:', lines: ['Tuck: 10x10s'], time: 'About 5 min.' },
      teaching: ['Tuck: said in full.'],
      review: 'Review on 2026-12-10.',
    });
    expect(note.subjective).toBe(
      'Stiff neck.\nOnset: Over two winters\nWants to do again:\n- Ring the bell',
    );
    expect(note.plan).toBe(
      'Version 2:\n- Tuck: 10x10s\nAbout 5 min.\nTaught:\n- Tuck: said in full.\nReview on 2026-12-10.',
    );
    expect(noteAsText(note)).toMatch(/^SUBJECTIVE\nStiff neck\.[\s\S]*\n\nPLAN\nVersion 2:/);
  });
});
