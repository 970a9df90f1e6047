import MiniSearch from 'minisearch';
import { type Exercise, searchWords } from '../exercise';
import { plainText } from '../units';

/** Words that say nothing of an exercise. */
const EMPTY_WORDS = new Set(['a', 'an', 'and', 'at', 'for', 'in', 'of', 'on', 'the', 'to', 'with']);
/** Shorter words are not guessed at: one other letter makes another word of them. */
const GUESSED_FROM_LETTERS = 5;
/** Letters that may be wrong, as a share of the word. */
const GUESSED_SHARE = 0.2;
/** How finely is told apart what fits better: so many steps from nothing to the best. */
const FITS = 4;

/** One word as it is compared: lower case, without accents, one where many are meant. */
function plainWord(word: string): string {
  const plain = plainText(word);
  if (/(ch|sh|s|x)es$/.test(plain)) return plain.slice(0, -2);
  return /[^s]s$/.test(plain) && plain.length > 2 ? plain.slice(0, -1) : plain;
}

/** What is done, of a word for doing it: "stretch" of "stretching", "nod" of "nodding". */
function withoutIng(word: string): string {
  const cut = /^(\p{L}{3,})ing$/u.exec(word)?.[1];
  return cut ? cut.replace(/([bdgmnprt])\1$/, '$1') : word;
}

/** The words of a text, in order, without those that say nothing. */
function wordsOf(text: string): string[] {
  return text
    .split(/[^\p{L}\p{N}]+/u)
    .map(plainWord)
    .filter((word) => word !== '' && !EMPTY_WORDS.has(word));
}

type Entry = {
  readonly id: string;
  readonly name: string;
  /** Parted by a line break, so that no word of one alias stands beside one of the next. */
  readonly aliases: string;
  readonly words: string;
};

/** What an exercise is also called, by its id. */
export type Aliases = Readonly<Record<string, readonly string[]>>;

export type ExercisesFound = {
  readonly exercises: readonly Exercise[];
  /** Nothing has the words that were typed; these are the most like it. */
  readonly guessed: boolean;
};
export type ExerciseFinder = (typed: string, most: number) => ExercisesFound;

/**
 * Finds exercises by what somebody typed. Every word counts, whole or as the beginning of a word;
 * a name or common name that is exactly what was typed comes first, then one that begins so. Only where
 * that finds nothing is a word for doing something ("stretching") cut short, and only then
 * are misspelt words guessed, so that a guess never stands above a word that is there. Where nothing
 * is like it, nothing is found. Of what fits about as well the easier comes first.
 *
 * @param more words by family beyond an exercise's own, such as the findings it answers
 * @example exerciseFinder(EXERCISES, ALIASES, new Map())('bird dog', 1).exercises[0]?.id // 'hands-knees-reach'
 */
export function exerciseFinder(
  exercises: readonly Exercise[],
  aliases: Aliases,
  more: ReadonlyMap<string, readonly string[]>,
): ExerciseFinder {
  const byId = new Map(exercises.map((exercise, place) => [exercise.id, { exercise, place }]));
  const index = new MiniSearch<Entry>({
    fields: ['name', 'aliases', 'words'],
    tokenize: wordsOf,
    processTerm: (word) => word,
  });
  index.addAll(
    exercises.map((exercise) => ({
      id: exercise.id,
      name: exercise.name,
      aliases: (aliases[exercise.id] ?? []).join('\n'),
      words: [...searchWords(exercise), ...(more.get(exercise.family) ?? [])].join('\n'),
    })),
  );
  const names = new Map(
    exercises.map(({ id, name }) => [
      id,
      [name, ...(aliases[id] ?? [])].map((one) => wordsOf(one).join(' ')),
    ]),
  );
  /** 3 for what is called so, 2 where its name begins so, 1 where a common name does, else 0. */
  const called = ({ id }: Exercise, phrase: string) => {
    const own = names.get(id) ?? [];
    if (own.includes(phrase)) return 3;
    const begins = own.findIndex((name) => name.startsWith(`${phrase} `));
    return begins === 0 ? 2 : begins > 0 ? 1 : 0;
  };
  const options = {
    combineWith: 'AND',
    boost: { name: 4, aliases: 4 },
    prefix: true,
    weights: { prefix: 0.5, fuzzy: 0.2 },
  } as const;
  return (typed, most) => {
    const phrase = wordsOf(typed).join(' ');
    if (phrase === '') return { exercises: [], guessed: false };
    const asTyped = index.search(typed, options);
    const written =
      asTyped.length > 0
        ? asTyped
        : index.search(wordsOf(typed).map(withoutIng).join(' '), options);
    const found =
      written.length > 0
        ? written
        : index.search(typed, {
            ...options,
            fuzzy: (word) => (word.length < GUESSED_FROM_LETTERS ? false : GUESSED_SHARE),
          });
    const best = found[0]?.score ?? 1;
    const exercises = found
      .flatMap(({ id, score }) => {
        const known = byId.get(String(id));
        const fit = Math.round((score / best) * FITS);
        return known ? [{ ...known, fit, named: called(known.exercise, phrase) }] : [];
      })
      .sort((a, b) => b.named - a.named || b.fit - a.fit || a.place - b.place)
      .slice(0, most)
      .map(({ exercise }) => exercise);
    return { exercises, guessed: written.length === 0 && exercises.length > 0 };
  };
}
