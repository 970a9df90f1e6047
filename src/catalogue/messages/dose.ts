import type { MessageTable } from './say';

/** The words of a dose among a language's texts, by the keys of `readDose`. */
export function doseTexts(texts: MessageTable): MessageTable {
  return Object.fromEntries(
    Object.entries(texts)
      .filter(([key]) => key.startsWith('dose.'))
      .map(([key, text]) => [key.slice('dose.'.length), text]),
  );
}
