export * from './cautions';
export * from './exercise';
export * from './exercises';
export { type MessageTable, sayPhrase, sayPhrases } from './messages';
