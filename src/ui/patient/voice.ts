/** What of a voice is looked at. */
type Voice = Pick<SpeechSynthesisVoice, 'lang' | 'default'>;

/**
 * The voice of this phone that speaks a language: its own country's before another's, the phone's usual
 * one before others. Null where it has none: another language's voice would say words nobody understands.
 *
 * @param tag BCP 47
 * @example voiceFor('ar', [{ lang: 'en-GB', default: true }]) // null
 */
export function voiceFor<V extends Voice>(tag: string, voices: readonly V[]): V | null {
  const named = (lang: string) => lang.replace('_', '-').toLowerCase();
  const own = named(tag);
  const language = own.split('-')[0];
  const speaking = voices.filter(({ lang }) => named(lang).split('-')[0] === language);
  return (
    speaking.find(({ lang }) => named(lang) === own) ??
    speaking.find((voice) => voice.default) ??
    speaking[0] ??
    null
  );
}

/** The voices of this phone; null while it has not told them, or where it cannot speak at all. */
export function voicesHere(): readonly SpeechSynthesisVoice[] | null {
  if (!('speechSynthesis' in window)) return null;
  const voices = window.speechSynthesis.getVoices();
  return voices.length === 0 ? null : voices;
}

/** By the phone's own voice for the language, where it has one; the newest word is what counts. */
export function speak(text: string, language: string): void {
  if (!('speechSynthesis' in window)) return;
  window.speechSynthesis.cancel();
  const voices = voicesHere();
  const voice = voices && voiceFor(language, voices);
  // Some phones tell their voices late: they choose by the language themselves.
  if (voices && !voice) return;
  const said = new SpeechSynthesisUtterance(text);
  said.lang = voice?.lang ?? language;
  if (voice) said.voice = voice;
  window.speechSynthesis.speak(said);
}
