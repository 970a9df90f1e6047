import { parseDose } from '../dose';
import { doseTraits, flagsOn, withMeasured } from '.';

describe('flags on an exercise', () => {
  const traits = (line: string) => {
    const dose = parseDose(line);
    if (!dose.ok) throw new Error(dose.say);
    return doseTraits(dose.value);
  };
  it('come from the patient’s precautions and the exercise’s traits', () => {
    expect(flagsOn(['latex', 'jaw'], ['latex band', 'overhead'])).toEqual([
      { precaution: 'latex', trait: 'latex band' },
    ]);
    expect(flagsOn(['neck injury'], ['every neck exercise'])).toHaveLength(1);
    expect(flagsOn([], ['latex band'])).toEqual([]);
    expect(flagsOn(['latex'], ['latex band', 'latex band'])).toHaveLength(1);
    expect(flagsOn([], ['head rolls'])).toEqual([{ precaution: 'everybody', trait: 'head rolls' }]);
  });
  it('a breath that is held is breath holding, one that is not is none', () => {
    expect(traits('x6 breath 4-4-4')).toEqual(['breath holding']);
    expect(traits('x6 breath 4-1-6')).toEqual(['breath holding']);
    expect(traits('x6 breath 4-0-6')).toEqual([]);
    expect(traits('3x60s breath 4-4-4 rpe 4')).toEqual(['long effortful hold', 'breath holding']);
    expect(flagsOn(['pressure or heart'], traits('x6 breath 4-4-4'))).toHaveLength(1);
  });
  it('a step that slides away is a slipping segment, whatever was answered', () => {
    expect(withMeasured(['latex'], { stepSlides: true })).toEqual(['latex', 'instability']);
    expect(withMeasured(['instability'], { stepSlides: true })).toEqual(['instability']);
    expect(withMeasured(['latex'], { stepSlides: false })).toEqual(['latex']);
  });
  it('a hold over 30 s at 30 % or 3 of 10 and more is a long effortful one', () => {
    expect(traits('3x60s rpe 3-5')).toEqual(['long effortful hold']);
    expect(traits('x3 hold 31s 30%')).toEqual(['long effortful hold']);
    expect(traits('3x30s rpe 3-5')).toEqual([]);
    expect(traits('3x60s 20%')).toEqual([]);
    expect(traits('3x60s')).toEqual([]);
  });
});
