import { KIND_IDS, kindOf } from '@/core/measures';
import { FIGURES } from './figures';
import { exerciseTexts } from './messages/in-language';
import { WORDED_EXERCISES } from './wording';

/** Where a text of the catalogue stands, for those who translate it; what was measured is of no exercise. */
export type Saying = { readonly text: string; readonly exerciseId: string };

let sayings: readonly Saying[] | undefined;

/** Everything the catalogue says to a patient, once each, by exercise; then the names of what is measured. */
export function allSayings(): readonly Saying[] {
  if (sayings) return sayings;
  const found = new Map<string, Saying>();
  const note = (exerciseId: string, texts: readonly string[]) => {
    for (const text of texts) if (!found.has(text)) found.set(text, { text, exerciseId });
  };
  for (const exercise of WORDED_EXERCISES)
    note(exercise.id, [...exerciseTexts(exercise), ...(FIGURES[exercise.id]?.names ?? [])]);
  note(
    '',
    KIND_IDS.map((kind) => kindOf(kind).name),
  );
  sayings = [...found.values()];
  return sayings;
}
