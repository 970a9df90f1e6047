import {
  ENGLISH,
  type Language,
  describeFigure,
  exerciseIn,
  inLanguage,
  sayPhrases,
  sayToPatient,
  waysIn,
  waysOf,
} from '@/catalogue';
import { directionNames, doseSigns, readDose, readToday } from '@/core/dose';
import type { PackLine } from '@/core/exchange';
import { type Figure } from '@/core/figure';
import type { SentLine } from '@/core/programme';
import { howMany } from '@/core/progression';
import { packPicture } from './figure-file';
import type { SetUpPhoto } from '../visit/set-up-photos';
import { setUpWords } from './set-up-words';

/** What an exercise needs, with what will do instead: "pad or soft ball, wall". */
export function needsOf({ props }: SentLine['exercise'], language = ENGLISH): string {
  const texts: Readonly<Record<string, string>> = language.texts;
  const said = (prop: string) => texts[`prop.${prop}`] ?? prop;
  const either = (first: string, second: string) =>
    sayToPatient(language, 'player.or', { first, second });
  return props.map(({ prop, orElse }) => [prop, ...orElse].map(said).reduce(either)).join(', ');
}

/** A line as a phone plays it. The patient's own reminders stand before the exercise's. */
export function packLine(
  line: SentLine,
  figure: Figure | null,
  {
    photos,
    share,
    own,
    complaint = null,
    language,
    isChecked = true,
  }: {
    readonly photos: readonly SetUpPhoto[];
    readonly share: number;
    readonly own: readonly string[];
    /** What it is for, where more than one complaint is treated. */
    readonly complaint?: string | null;
    readonly language: Language;
    /** The clinic stands for the language's texts. */
    readonly isChecked?: boolean;
  },
): PackLine {
  const { name, steps, cues, mode, position, feel, normal, stop } = exerciseIn(
    language,
    line.exercise,
  );
  const ways = waysIn(language, waysOf(line));
  const side = line.dose.side === 'left' ? 'left' : 'right';
  return {
    lineage: line.lineage,
    name,
    ...(complaint === null ? {} : { complaint }),
    steps,
    // A fix of the catalogue's is said in the patient's language; the clinic's own words stay.
    cues: [...own.map((cue) => inLanguage(language, cue)), ...cues],
    needs: needsOf(line.exercise, language),
    setUp: setUpWords(line, language),
    feel: feel ?? '',
    normal: normal ?? '',
    stop: stop ?? '',
    words: sayPhrases(readDose(line.dose, mode, ways), language),
    how: sayPhrases(readToday(line.dose, mode, ways), language),
    ...(isChecked ? {} : { beside: sayPhrases(readToday(line.dose, mode, waysOf(line)), ENGLISH) }),
    dose: line.dose,
    sides: ways.sides,
    directions: directionNames(line.dose, ways.directions),
    mode,
    position,
    howMany: howMany(line.dose, line.school?.id ?? null),
    lastCounted: line.lastCounted ?? [],
    lastMax: line.lastMax,
    share,
    figure,
    picture: figure && packPicture(line.exercise.drawing ?? line.exerciseId, figure, side),
    drawnSide: drawnSideOf(line, language),
    signs: doseSigns(line.dose, mode),
    photos: photos.map(({ id, width, height }) => ({
      address: `/api/v1/patient/set-up/picture?id=${id}`,
      width,
      height,
    })),
    description: figure ? describeFigure(figure, language) : '',
  };
}

/** Which side of somebody one-sided is drawn: the one that is done, the right where both are. */
export function drawnSideOf(
  { dose: { side } }: Pick<SentLine, 'dose'>,
  language = ENGLISH,
): string {
  if (side === undefined) return '';
  return sayToPatient(language, side === 'left' ? 'player.left' : 'player.right');
}
