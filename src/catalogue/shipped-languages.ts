import ARABIC from './languages/ar.json';
import GERMAN from './languages/de.json';
import SPANISH from './languages/es.json';
import { ENGLISH, type Language, type PatientTexts } from './messages/patient';

/**
 * A language from its table of all texts: those of the screens by their keys, those of exercises and
 * drawings by their English. What it holds is not looked at here: the tests of this folder do.
 */
function shipped(tag: string, table: Readonly<Record<string, string>>): Language {
  const entries = Object.entries(table);
  const isKey = (key: string) => Object.hasOwn(ENGLISH.texts, key);
  return {
    tag,
    texts: Object.fromEntries(entries.filter(([key]) => isKey(key))) as PatientTexts,
    sayings: Object.fromEntries(entries.filter(([key]) => !isKey(key))),
  };
}

/**
 * The languages that ship beside English. Each was drafted by machine and no native clinician has
 * checked it: a clinic confirms it for itself.
 */
export const SHIPPED_LANGUAGES: readonly Language[] = [
  shipped('ar', ARABIC),
  shipped('de', GERMAN),
  shipped('es', SPANISH),
];
