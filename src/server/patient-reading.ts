import {
  ENGLISH,
  type Language,
  inLanguage,
  sayPhrases,
  sayToPatient,
  stopSigns,
  waysIn,
  writtenWay,
} from '@/catalogue';
import { parseDose, readDose } from '@/core/dose';
import type { Exercise, ExerciseWords } from '@/core/exercise';
import type { PatientReading, ReadBoth, ReadingOrder } from '@/core/records';
import type { Patient } from '@/db';
import { isLanguageChecked } from './checked-languages';
import { catalogueFor } from './desk/exercises';
import { languageFor } from './languages';
import { ownCues } from './visit/teaching';

/**
 * The lines of a desk as their patient will read them, each text beside the clinic's: seen before a
 * version is sent.
 */
export async function readingOf(
  patient: Patient,
  lines: ReadingOrder['lines'],
): Promise<PatientReading> {
  const language = languageFor(patient);
  const [catalogue, cues, checked] = await Promise.all([
    catalogueFor(patient.clinicId),
    ownCues(patient),
    isLanguageChecked(patient.clinicId, language),
  ]);
  return {
    tag: language.tag,
    way: writtenWay(language.tag),
    name: language.texts['language.name'],
    checked,
    lines: lines.flatMap(({ lineage, exerciseId, dose }) => {
      const exercise = catalogue.byId(exerciseId);
      if (!exercise) return [];
      const own = lineage === null ? [] : (cues.get(lineage) ?? []);
      return [
        {
          name: both(exercise.name, language),
          texts: [
            ...doseOf(exercise, dose, language),
            ...exercise.steps.map((text) => both(text, language)),
            ...exercise.cues.map((text) => both(text, language)),
            ...felt(exercise, language),
            // A fix of the catalogue's has its words; nobody but the clinic can say its own.
            ...own.map((cue) => both(cue, language)),
          ],
        },
      ];
    }),
    stopSigns: stopSigns(ENGLISH).map((sign, nth) => ({
      clinic: sign,
      patient: stopSigns(language)[nth] ?? sign,
      asWritten: false,
    })),
  };
}

function both(text: string, language: Language): ReadBoth {
  return {
    clinic: text,
    patient: inLanguage(language, text),
    asWritten: language.tag !== ENGLISH.tag && !Object.hasOwn(language.sayings, text),
  };
}

/** The dose in words, by the same computation as on the phone; nothing while it cannot be read. */
function doseOf(exercise: Exercise, text: string, language: Language): ReadBoth[] {
  const dose = parseDose(text);
  if (!dose.ok) return [];
  const said = (tongue: Language) =>
    sayPhrases(readDose(dose.value, exercise.mode, waysIn(tongue, exercise)), tongue);
  return [{ clinic: said(ENGLISH), patient: said(language), asWritten: false }];
}

function felt({ feel, normal, stop }: ExerciseWords, language: Language): ReadBoth[] {
  const said = [
    ['player.felt', feel],
    ['player.normal', normal],
    ['player.stopFor', stop],
  ] as const;
  return said.flatMap(([key, words]) =>
    words === ''
      ? []
      : [
          {
            clinic: sayToPatient(ENGLISH, key, { words }),
            patient: sayToPatient(language, key, { words: inLanguage(language, words) }),
            asWritten: both(words, language).asWritten,
          },
        ],
  );
}
