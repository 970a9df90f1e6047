import { EXERCISES } from './exercises';
import { ENGLISH, type Language } from './messages/patient';
import { valuesIn, whatIsWrong } from './messages/read-language';
import { allSayings } from './sayings';

/** One text of a language, as a translator's spreadsheet has it. */
export type LanguageRow = {
  /** Of a text of the screens its key; of the catalogue's its English. */
  readonly key: string;
  /** Where a patient meets it. */
  readonly where: string;
  /** The exercise beside whose drawing it stands; empty for a text of the screens. */
  readonly drawing: string;
  /** So many characters find room, the names of values counted too. */
  readonly longest: number;
  readonly english: string;
  readonly translation: string;
};

export const LANGUAGE_COLUMNS = [
  'key',
  'where',
  'drawing',
  'longest',
  'english',
  'translation',
] as const satisfies readonly (keyof LanguageRow)[];

/** Where the texts of the screens are met, by the beginning of their keys. */
const PLACES: readonly (readonly [begins: string, where: string])[] = [
  ['today.', 'First page of the phone'],
  ['saved.', 'Line under the first page: where everything is kept'],
  ['paused.', 'First page while the programme is paused'],
  ['stop.', 'When to stop, and whom to call'],
  ['sign.', 'When to stop: a sign, in a list'],
  ['advice.', 'Answer to “it hurts”'],
  ['hurt.', 'Question after “it hurts”'],
  ['player.', 'Player, while an exercise is done'],
  ['word.', 'Player: one large word, also spoken'],
  ['cue.', 'Player: a reminder'],
  ['count.', 'Player: how many were done'],
  ['skip.', 'Player: leaving an exercise out'],
  ['dose.', 'Dose of an exercise, in sentences'],
  ['figure.', 'A drawing in words, for those who do not see it'],
  ['handout.', 'The sheet to take home'],
  ['letter.', 'Letter to the patient after a review'],
  ['question.', 'Health question before a visit, answered yes or no'],
  ['health.', 'Health questions'],
  ['settings.', 'Settings'],
  ['progress.', 'How it is going'],
  ['problem.', 'Why something was not done'],
  ['remind.', 'Reminder by text message, e-mail or calendar'],
];

/** A text may be so much longer than its English, and a short one by so many characters. */
const LONGER = 1.7;
const ROOM = 16;

/** How long a text may be where its English found room; ours. @example longestFor('Begin') // 25 */
export function longestFor(english: string): number {
  return Math.round(english.length * LONGER) + ROOM;
}

/** All texts of a language, each with where it is met and what it must say. */
export function languageTable(language: Language): LanguageRow[] {
  const names = new Map(EXERCISES.map(({ id, name }) => [id, name]));
  const said: Readonly<Record<string, string>> = language.texts;
  return [
    ...Object.entries(ENGLISH.texts).map(([key, english]) => ({
      key,
      where: PLACES.find(([begins]) => key.startsWith(begins))?.[1] ?? 'Other pages of the phone',
      drawing: '',
      longest: longestFor(english),
      english,
      translation: said[key] ?? '',
    })),
    ...allSayings().map(({ text, exerciseId }) => ({
      key: text,
      where: 'Exercise: its name, how it goes, what is felt, what its drawing shows',
      drawing: names.get(exerciseId) ?? exerciseId,
      longest: longestFor(text),
      english: text,
      translation: language.sayings[text] ?? '',
    })),
  ];
}

/** A spreadsheet as it was read back: its texts by their keys, and what is wrong, row by row. */
export type TableRead = {
  readonly texts: Readonly<Record<string, string>>;
  readonly problems: readonly { readonly row: number; readonly say: string }[];
};

/**
 * Reads a translator's spreadsheet back. A text that is missing, too long, cannot be read, or does not
 * say every value its English says is left out and named.
 *
 * @param rows as they stand below the heads of the columns; the first is row 2 of the sheet
 */
export function readLanguageTable(
  rows: readonly Readonly<Partial<Record<keyof LanguageRow, unknown>>>[],
): TableRead {
  const known = new Map(languageTable(ENGLISH).map(({ key, english }) => [key, english]));
  const texts: Record<string, string> = {};
  const problems: { row: number; say: string }[] = [];
  rows.forEach(({ key, translation }, index) => {
    const row = index + 2;
    const english = typeof key === 'string' ? known.get(unescaped(key)) : undefined;
    if (typeof key !== 'string' || english === undefined) {
      problems.push({ row, say: 'There is no such text.' });
      return;
    }
    const text = typeof translation === 'string' ? unescaped(translation).trim() : '';
    const wrong = wrongIn(text, english);
    if (wrong) problems.push({ row, say: wrong });
    else texts[unescaped(key)] = text;
  });
  const there = new Set(rows.map(({ key }) => (typeof key === 'string' ? unescaped(key) : '')));
  for (const [key, english] of known)
    if (!there.has(key)) problems.push({ row: 0, say: `Its row is missing: “${english}”` });
  return { texts, problems };
}

function wrongIn(text: string, english: string): string | null {
  if (text === '') return 'It has no translation yet.';
  const wrong = whatIsWrong(text, english);
  if (wrong) return `${wrong.charAt(0).toUpperCase()}${wrong.slice(1)}.`;
  const values = valuesIn(text);
  const lost = [...valuesIn(english)].filter((name) => !values.has(name));
  if (lost.length > 0) return `It does not say {${lost.join('}, {')}}.`;
  const longest = longestFor(english);
  return text.length > longest ? `It is ${text.length} characters long, at most ${longest}.` : null;
}

/** A cell that a spreadsheet would take for a formula travels behind an apostrophe. */
function unescaped(cell: string): string {
  return cell.replace(/^'(?=[=+\-@\t\r])/, '');
}
