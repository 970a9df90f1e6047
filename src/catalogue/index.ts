export * from './cautions';
export { type Catalogue, EXERCISES, SHIPPED, catalogueOf } from './exercises';
export { type MessageTable, sayPhrase, sayPhrases } from './messages';
export { PATIENT_LANGUAGE, patientWords, sayToPatient, todayWords } from './messages/patient';
export type { CompiledWords } from './messages/patient';
export type { PatientWord } from './messages/patient-en';
