import fc from 'fast-check';
import { runs } from '../../../tests/support/runs';
import { adult, fired } from '../../../tests/support/screening-cases';
import { localDate } from '../units';
import {
  FOR_EVERYBODY,
  NOTHING_ANSWERED,
  PRECAUTIONS,
  QUESTIONS,
  QUESTION_IDS,
  type QuestionId,
  RULES,
  type ScreeningAnswers,
  answersAdded,
  blocksPrescribing,
  flagsInWords,
  holds,
  isScreeningOld,
  questionsFor,
  referralLetter,
  screen,
  withoutHidden,
  yesInWords,
} from '.';

describe('the whole screening', () => {
  it('lets a healthy adult go ahead, and nobody who was not asked', () => {
    expect(screen(adult()).outcome).toBe('go');
    expect(screen(NOTHING_ANSWERED).outcome).toBe('unfinished');
    expect(screen(NOTHING_ANSWERED).unanswered).toHaveLength(questionsFor(NOTHING_ANSWERED).length);
  });

  it('is unfinished as long as one question or the age is open', () => {
    for (const id of QUESTION_IDS.filter((one) => adult().answers[one] !== undefined)) {
      const answers = { ...adult().answers };
      delete answers[id];
      expect([id, screen({ ...adult(), answers }).outcome]).toEqual([id, 'unfinished']);
    }
    expect(screen(adult([], { age: null })).outcome).toBe('unfinished');
  });

  it('blocks at once, however much is unanswered', () => {
    const facts = { ...NOTHING_ANSWERED, answers: { 'saddle-numbness': 'yes' } } as const;
    expect(screen(facts).outcome).toBe('emergency');
  });

  it('tells every rule that fired, worst first', () => {
    expect(fired(adult(['latex', 'fever', 'bladder-bowel', 'cancer']))).toEqual([
      'cauda-equina',
      'fever',
      'cancer',
      'latex',
    ]);
  });

  it('has a reason and a source in every row, and asks what every rule needs', () => {
    for (const rule of RULES) {
      expect(rule.reason).toMatch(/\.$/);
      expect(rule.source.length).toBeGreaterThan(5);
    }
    const named = JSON.stringify(RULES.map((rule) => rule.when));
    const feeds = (id: string) =>
      named.includes(`"${id}"`) ||
      ['injury-recent', 'spinal-disease', 'dangerous-mechanism', 'limb-tingling'].includes(id) ||
      ['low-risk-factor', 'turns-45', 'pregnancy'].includes(id);
    expect(QUESTION_IDS.filter((id) => !feeds(id))).toEqual([]);
    expect(new Set(QUESTION_IDS).size).toBe(QUESTIONS.length);
    expect(new Set(RULES.map((rule) => rule.id)).size).toBe(RULES.length);
  });

  it('uses every row of the precaution matrix', () => {
    const used = new Set(RULES.map((rule) => rule.precaution));
    expect(Object.keys(PRECAUTIONS).filter((id) => !used.has(id as never))).toEqual(FOR_EVERYBODY);
    expect(flagsInWords('latex')).toBe('bands made of latex');
  });

  it('never becomes milder by one more "yes" to a worrying question', () => {
    const worrying = QUESTIONS.filter((q) => !('guided' in q) && !('when' in q)).map((q) => q.id);
    const rank = ['go', 'precautions', 'refer', 'same day', 'emergency'];
    fc.assert(
      fc.property(
        fc.subarray(worrying, { maxLength: 6 }),
        fc.constantFrom(...worrying),
        fc.integer({ min: 1, max: 100 }),
        (some, one, age) => {
          const worst = (yes: QuestionId[]) =>
            Math.max(
              0,
              ...screen(adult(yes, { age })).fired.map((rule) => rank.indexOf(rule.outcome)),
            );
          expect(worst([...some, one])).toBeGreaterThanOrEqual(worst(some));
        },
      ),
      runs(2000),
    );
  });
});

describe('single rules', () => {
  it.each<[QuestionId[], string]>([
    [['bladder-bowel'], 'emergency'],
    [['saddle-numbness'], 'emergency'],
    [['sexual-change'], 'emergency'],
    [['both-legs'], 'same day'],
    [['both-legs', 'growing-weakness'], 'emergency'],
    [['sudden-headache'], 'emergency'],
    [['double-vision'], 'emergency'],
    [['nystagmus'], 'emergency'],
    [['drooping-lid'], 'emergency'],
    [['dizziness'], 'precautions'],
    [['dizziness', 'nausea'], 'refer'],
    [['dizziness', 'unlike-before'], 'emergency'],
    [['unlike-before'], 'refer'],
    [['chest-pain'], 'emergency'],
    [['exertion-pain'], 'same day'],
    [['fever'], 'same day'],
    [['cancer'], 'refer'],
    [['cancer', 'night-pain'], 'same day'],
    [['weight-loss'], 'refer'],
    [['night-pain'], 'refer'],
    [['night-pain', 'weak-immunity'], 'same day'],
    [['soft-bump'], 'refer'],
    [['height-loss'], 'refer'],
    [['clumsy-hands'], 'refer'],
    [['both-arms'], 'refer'],
    [['unsteady'], 'refer'],
    [['hoffmann'], 'refer'],
    [['clonus'], 'refer'],
    [['back-injury'], 'unfinished'],
    [['nausea'], 'unfinished'],
    [['back-injury', 'steroids'], 'same day'],
    [['fainting'], 'same day'],
    [['high-pressure'], 'precautions'],
    [['pregnancy'], 'unfinished'],
    [['pregnancy', 'pregnancy-second-half'], 'precautions'],
    [['concussion', 'concussion-cleared'], 'precautions'],
    [['concussion'], 'unfinished'],
    [['surgery'], 'unfinished'],
    [['surgery', 'surgery-protocol'], 'unfinished'],
  ])('%j is %s', (yes, expected) => {
    // A follow-up that became visible is still to be answered.
    const facts: ScreeningAnswers = {
      ...adult(yes),
      answers: Object.fromEntries(
        Object.entries(adult(yes).answers).filter(
          ([id]) => yes.includes(id as QuestionId) || id !== 'pregnancy-second-half',
        ),
      ),
    };
    expect(screen(facts).outcome).toBe(expected);
  });

  it('asks when, how and seen by whom after an injury to the back, then names a precaution', () => {
    const told = (yes: QuestionId[], no: QuestionId[]) =>
      screen(adult(['back-injury', ...yes], { no }));
    const [newly, hard, seen] = [
      'back-injury-new',
      'back-injury-hard',
      'back-injury-seen',
    ] as const;
    expect(told([], []).unanswered).toEqual([newly, hard, seen]);
    expect(told([], [newly, hard, seen])).toMatchObject({
      outcome: 'precautions',
      precautions: ['after back injury'],
    });
    expect(told([newly], [hard, seen]).outcome).toBe('precautions');
    expect(told([hard], [newly, seen]).outcome).toBe('refer');
    expect(told([hard, newly], [seen]).outcome).toBe('same day');
    // What nobody has asked reassures as little as a "no".
    expect(told([hard, newly], []).outcome).toBe('same day');
    expect(told([hard, newly, seen], [])).toMatchObject({
      outcome: 'precautions',
      precautions: ['after back injury'],
    });
  });

  it('asks what the nausea comes with; alone it names a precaution and blocks nothing', () => {
    const told = (yes: QuestionId[], no: QuestionId[]) => screen(adult(['nausea', ...yes], { no }));
    const [headache, explained] = ['nausea-headache', 'nausea-explained'] as const;
    expect(told([], []).unanswered).toEqual([headache, explained]);
    expect(told([], [headache, explained])).toMatchObject({
      outcome: 'precautions',
      precautions: ['nausea'],
    });
    expect(told([headache], [explained]).outcome).toBe('refer');
    expect(told([headache], []).outcome).toBe('refer');
    expect(told([headache, explained], []).outcome).toBe('precautions');
    expect(told(['dizziness', explained], [headache]).outcome).toBe('refer');
  });

  it('names surgery by its region, and the whole body while nobody has said where', () => {
    const regions = ['surgery-neck', 'surgery-arm', 'surgery-back', 'surgery-leg'] as const;
    const told = (yes: QuestionId[]) =>
      screen(
        adult(['surgery', 'surgery-protocol', ...yes], {
          no: regions.filter((one) => !yes.includes(one)),
        }),
      ).precautions;
    expect(told(['surgery-neck'])).toEqual(['surgery neck']);
    expect(told(['surgery-arm', 'surgery-leg'])).toEqual(['surgery arm', 'surgery leg']);
    expect(told(['surgery-back'])).toEqual(['surgery back']);
    expect(told([])).toEqual(['surgery elsewhere']);
    expect(screen(adult(['surgery', 'surgery-protocol'])).precautions).toEqual(['surgery']);
  });

  it('refers a concussion or an operation that nobody has cleared', () => {
    expect(screen(adult(['concussion'], { no: ['concussion-cleared'] })).outcome).toBe('refer');
    expect(screen(adult(['surgery'], { no: ['surgery-protocol'] })).outcome).toBe('refer');
  });

  it('asks for an opinion above 180/110 and for care from 160/100 (memory; local policy decides)', () => {
    const at = (systolic: number, diastolic: number) =>
      screen(adult([], { pressure: { systolic, diastolic } })).outcome;
    expect([at(159, 99), at(160, 99), at(159, 100)]).toEqual(['go', 'precautions', 'precautions']);
    expect([at(180, 110), at(181, 80), at(120, 111)]).toEqual([
      'precautions',
      'same day',
      'same day',
    ]);
  });

  it('puts the named precaution into the header, once', () => {
    expect(screen(adult(['osteoporosis', 'steroids', 'jaw'])).precautions).toEqual([
      'jaw',
      'osteoporosis',
    ]);
  });
});

describe('answering', () => {
  it('asks a follow-up only when its condition holds', () => {
    expect(questionsFor(adult()).map((q) => q.id)).not.toContain('turns-45');
    const injured = adult(['neck-injury'], { no: ['neck-injury-cleared'] });
    expect(questionsFor(injured).map((q) => q.id)).toContain('turns-45');
    expect(questionsFor(injured, 'patient').map((q) => q.id)).not.toContain('turns-45');
  });
  it('"everything no" leaves what was marked, the reassuring questions, and calls signs not tested', () => {
    const facts = adult(['fever', 'concussion']);
    expect(facts.answers.fever).toBe('yes');
    expect(facts.answers['concussion-cleared']).toBeUndefined();
    expect(facts.answers.hoffmann).toBe('not tested');
  });
  it('"everything no" leaves open what somebody has to ask', () => {
    const facts = adult(['nausea', 'back-injury', 'surgery']);
    expect(screen(facts).unanswered).toEqual(
      expect.arrayContaining(['nausea-headache', 'back-injury-hard', 'surgery-neck']),
    );
  });
  it('drops answers to questions that are hidden now', () => {
    const facts: ScreeningAnswers = {
      ...adult(['surgery', 'surgery-protocol']),
      answers: { ...adult(['surgery', 'surgery-protocol']).answers, surgery: 'no' },
    };
    expect(withoutHidden(facts).answers['surgery-protocol']).toBeUndefined();
    expect(withoutHidden(adult())).toEqual(adult());
  });
  it('reasons with what is known', () => {
    const some = { ...NOTHING_ANSWERED, answers: { fever: 'yes', cancer: 'no' } } as const;
    expect(holds({ any: [{ yes: 'fever' }, { yes: 'jaw' }] }, some)).toBe(true);
    expect(holds({ all: [{ yes: 'fever' }, { yes: 'jaw' }] }, some)).toBeNull();
    expect(holds({ all: [{ yes: 'cancer' }, { yes: 'jaw' }] }, some)).toBe(false);
    expect(holds({ atLeast: 2, of: ['fever', 'jaw', 'cancer'] }, some)).toBeNull();
    expect(holds({ atLeast: 3, of: ['fever', 'jaw', 'cancer'] }, some)).toBe(false);
  });
});

it('grows old after the days the clinic has set', () => {
  expect(isScreeningOld(localDate('2026-08-25'), localDate('2026-11-23'), 90)).toBe(false);
  expect(isScreeningOld(localDate('2026-08-24'), localDate('2026-11-23'), 90)).toBe(true);
});

it('writes a letter that names findings and asks, on one page, without a diagnosis', () => {
  const letter = referralLetter({
    patientName: 'Wren Tarbuck',
    complaint: 'Neck pain',
    clinic: { name: 'Harbour', phone: '000' },
    author: 'M. T.',
    date: localDate('2026-11-23'),
    to: 'The island physician',
    screening: adult(['fever', 'latex']),
    history: Array.from({ length: 20 }, (_, index) => `line ${index}`),
    measures: [],
    prescribed: false,
  });
  expect(letter).toContain('Re: Wren Tarbuck, 40 years');
  expect(letter).toContain('Please give a medical opinion today.');
  expect(letter).toContain('- Fever or feeling ill with spinal pain.');
  expect(letter).toContain('- and 12 more');
  expect(letter).toContain('No home exercise has been prescribed.');
  expect(letter.split('\n').length).toBeLessThan(50);
  expect(yesInWords(adult(['fever']))).toEqual(['Fever, chills or feeling ill with it']);
  expect(blocksPrescribing('refer') && !blocksPrescribing('precautions')).toBe(true);
});

describe('what answering the rest adds', () => {
  it('is counted, signs apart, and what was answered before is not', () => {
    expect(answersAdded({}, { latex: 'no', clonus: 'not tested' })).toEqual({
      no: 1,
      notTested: 1,
    });
    expect(answersAdded({ latex: 'no' }, { latex: 'no' })).toEqual({ no: 0, notTested: 0 });
    expect(answersAdded({ latex: 'yes' }, { latex: 'no' })).toEqual({ no: 0, notTested: 0 });
    expect(answersAdded({}, { latex: 'yes' })).toEqual({ no: 0, notTested: 0 });
  });
});
