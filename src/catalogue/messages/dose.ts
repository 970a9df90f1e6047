/** Message key → ICU text, of one language and audience. */
export type MessageTable = Readonly<Record<string, string>>;

/** The words of a dose among a language's texts, compiled or not, by the keys of `readDose`. */
export function doseTexts<Text>(texts: Readonly<Record<string, Text>>): Record<string, Text> {
  return Object.fromEntries(
    Object.entries(texts)
      .filter(([key]) => key.startsWith('dose.'))
      .map(([key, text]) => [key.slice('dose.'.length), text]),
  );
}
