export * from './cautions';
export { READY_PROGRAMMES } from './programmes';
export { ALIASES } from './exercises/aliases';
export { type Catalogue, EXERCISES, SHIPPED, catalogueOf } from './exercises';
export { type MessageTable, sayPhrase, sayPhrases } from './messages';
export {
  type CompiledWords,
  ENGLISH,
  type Language,
  type PatientWord,
  healthWords,
  patientWords,
  sayToPatient,
  stopSigns,
  todayWords,
  togetherWords,
} from './messages/patient';
export { waysOf } from './ways';
export { readLanguage } from './messages/read-language';
