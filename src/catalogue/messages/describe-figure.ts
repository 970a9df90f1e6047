import type { Phrase } from '@/core/dose';
import { type Figure, readFigure } from '@/core/figure';
import { inLanguage } from './in-language';
import { ENGLISH, type Language, type PatientWord, sayToPatient } from './patient';

/**
 * A figure in words, for those who do not see it: where it is seen from, each pose by its name, and
 * what moves on the way, measured on the drawing.
 *
 * @example describeFigure(FIGURES['tuck-seated'])
 * // "Seen from the side. Sitting tall, gaze level. Then: Head slid straight back (head 4.5 cm back)."
 */
export function describeFigure(figure: Figure, language = ENGLISH): string {
  return readFigure(figure)
    .map((phrase) => sayOfFigure(phrase, language))
    .join(' ');
}

function sayOfFigure({ key, values }: Phrase, language: Language): string {
  const said = Object.entries(values).map(([name, value]): [string, string | number] => {
    if (typeof value === 'number') return [name, value];
    if (typeof value === 'string') return [name, inLanguage(language, value)];
    const list = (Array.isArray(value) ? value : [value]) as readonly Phrase[];
    return [name, list.map((one) => sayOfFigure(one, language)).join(LIST[language.tag] ?? ', ')];
  });
  return sayToPatient(language, `figure.${key}` as PatientWord, Object.fromEntries(said));
}

/** What stands between the parts of a list where it is no comma. */
const LIST: Readonly<Record<string, string>> = { ar: '، ' };
