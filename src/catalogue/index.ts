export * from './cautions';
export { ALIASES } from './exercises/aliases';
export { type Catalogue, EXERCISES, SHIPPED, catalogueOf } from './exercises';
export { sayPhrase, sayPhrases } from './messages';
export { sayAllToClinician, sayToClinician } from './messages/clinician';
export {
  type CompiledWords,
  ENGLISH,
  type Language,
  type PatientWord,
  healthWords,
  patientWords,
  sayToPatient,
  sayerOf,
  stopSigns,
  todayWords,
  togetherWords,
} from './messages/patient';
export { describeFigure } from './messages/describe-figure';
export { exerciseIn, inLanguage, waysIn, wordsIn } from './messages/in-language';
export { writtenWay } from './messages/written-way';
export { waysOf } from './ways';
export { readLanguage } from './messages/read-language';
