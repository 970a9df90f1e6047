import { EXERCISES } from './exercises';
import { FIGURES } from './figures';
import { exerciseTexts } from './messages/in-language';

/** Where a text of the catalogue stands, for those who translate it. */
export type Saying = { readonly text: string; readonly exerciseId: string };

let sayings: readonly Saying[] | undefined;

/** Everything the catalogue says to a patient, once each, by exercise. */
export function allSayings(): readonly Saying[] {
  if (sayings) return sayings;
  const found = new Map<string, Saying>();
  const note = (exerciseId: string, texts: readonly string[]) => {
    for (const text of texts) if (!found.has(text)) found.set(text, { text, exerciseId });
  };
  for (const exercise of EXERCISES)
    note(exercise.id, [...exerciseTexts(exercise), ...(FIGURES[exercise.id]?.names ?? [])]);
  sayings = [...found.values()];
  return sayings;
}
