import { adult, outcome } from '../../../tests/support/screening-cases';
import { type Answer, type QuestionId, neckInjuryRule, screen, answerTheRestNo } from '.';

describe('the rule for neck injuries (Stiell 2001)', () => {
  const yes: QuestionId[] = [
    'neck-injury',
    'injury-recent',
    'alert-stable',
    'low-risk-factor',
    'turns-45',
  ];
  const injured = (change: Partial<Record<QuestionId, Answer>> = {}, age: number | null = 40) => {
    const facts = adult(yes, { age, no: ['neck-injury-cleared'] });
    return {
      ...answerTheRestNo(facts),
      age,
      answers: { ...answerTheRestNo(facts).answers, ...change },
    };
  };

  it('clears an alert adult with a low-risk factor who turns 45° both ways', () => {
    expect(neckInjuryRule(injured())).toEqual({ kind: 'cleared by the rule' });
    expect(screen(injured()).outcome).toBe('precautions');
  });
  it.each<[Partial<Record<QuestionId, Answer>>, number]>([
    [{}, 65],
    [{ 'dangerous-mechanism': 'yes' }, 40],
    [{ 'limb-tingling': 'yes' }, 40],
    [{ 'low-risk-factor': 'no' }, 40],
    [{ 'turns-45': 'no' }, 40],
  ])('asks for an image with %j at %d', (change, age) => {
    expect(neckInjuryRule(injured(change, age)).kind).toBe('image');
    expect(screen(injured(change, age)).outcome).toBe('emergency');
  });
  it.each<[Partial<Record<QuestionId, Answer>>, number]>([
    [{ 'injury-recent': 'no' }, 40],
    [{ pregnancy: 'yes', 'pregnancy-second-half': 'no' }, 40],
    [{ 'spinal-disease': 'yes' }, 40],
    [{}, 15],
  ])('does not apply with %j at %d, and then refers', (change, age) => {
    expect(neckInjuryRule(injured(change, age)).kind).toBe('does not apply');
    expect(screen(injured(change, age)).outcome).toBe('refer');
  });
  // A known disease lowered an emergency to a referral once, and so did the 49th hour.
  it.each<[Partial<Record<QuestionId, Answer>>, number]>([
    [{ 'turns-45': 'no' }, 40],
    [{ 'low-risk-factor': 'no' }, 40],
    [{ 'limb-tingling': 'yes' }, 40],
    [{ 'dangerous-mechanism': 'yes' }, 40],
    [{ 'limb-tingling': 'yes', 'dangerous-mechanism': 'yes' }, 70],
    [{}, 65],
  ])('its signs %j at %d count whatever takes the rule away', (signs, age) => {
    const outside: Partial<Record<QuestionId, Answer>>[] = [
      {},
      { 'spinal-disease': 'yes' },
      { pregnancy: 'yes', 'pregnancy-second-half': 'no' },
      { 'injury-recent': 'no' },
      { 'injury-recent': 'no', 'spinal-disease': 'yes' },
    ];
    for (const change of outside)
      expect(screen(injured({ ...signs, ...change }, age)).outcome).toBe('emergency');
    expect(screen(injured(signs, 12)).outcome).toBe(age === 65 ? 'refer' : 'emergency');
  });
  it('stays an emergency where the rule does not apply but a high-risk factor holds', () => {
    const pregnant = injured({ pregnancy: 'yes', 'pregnancy-second-half': 'no' }, 65);
    expect(neckInjuryRule(pregnant).kind).toBe('does not apply');
    expect(screen(pregnant).outcome).toBe('emergency');
    const child = injured({ 'dangerous-mechanism': 'yes' }, 12);
    expect(screen(child).outcome).toBe('emergency');
  });
  it('never clears with a question left open', () => {
    for (const id of Object.keys(injured().answers) as QuestionId[]) {
      const answers = { ...injured().answers };
      delete answers[id];
      const verdict = screen({ ...injured(), answers });
      if (['injury-recent', 'alert-stable', 'turns-45', 'pregnancy'].includes(id))
        expect([id, verdict.outcome]).toEqual([id, 'refer']);
    }
    expect(neckInjuryRule(injured({}, null)).kind).toBe('unanswered');
  });
  it('is an emergency when not alert, and needs no rule once a physician has cleared it', () => {
    expect(screen(injured({ 'alert-stable': 'no' })).outcome).toBe('emergency');
    expect(outcome('neck-injury', 'neck-injury-cleared')).toBe('precautions');
  });
});
