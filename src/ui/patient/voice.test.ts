import { voiceFor } from './voice';

const voice = (lang: string, usual = false) => ({ lang, default: usual });

describe('the voice that reads out', () => {
  it.each([
    ['its own country’s', 'es-MX', [voice('es-ES', true), voice('es-MX')], 'es-MX'],
    [
      'the phone’s usual one of the language',
      'es',
      [voice('es-ES'), voice('es-MX', true)],
      'es-MX',
    ],
    ['any of the language', 'de', [voice('en-GB', true), voice('de_AT')], 'de_AT'],
  ])('is %s', (_, tag, voices, chosen) => {
    expect(voiceFor(tag, voices)?.lang).toBe(chosen);
  });

  it('is none where the phone speaks other languages only', () => {
    expect(voiceFor('ar', [voice('en-GB', true), voice('de-DE')])).toBeNull();
    expect(voiceFor('ar', [])).toBeNull();
    // "art" is no Arabic.
    expect(voiceFor('ar', [voice('art')])).toBeNull();
  });
});
