import {
  ENGLISH,
  type Language,
  describeFigure,
  exerciseIn,
  inLanguage,
  sayPhrases,
  sayToPatient,
  sayerOf,
  stopSigns,
  waysIn,
  waysOf,
  writtenWay,
} from '@/catalogue';
import { doseSigns, readBeside, setsOf, sharedWhen } from '@/core/dose';
import { type Figure, drawFigure } from '@/core/figure';
import { type Handout, type HandoutExercise, weekTable } from '@/core/handout';
import type { SentLine, SentVersion } from '@/core/programme';
import { howMany } from '@/core/progression';
import { sessionSeconds, sessionTimeline } from '@/core/timeline';
import { dateInWords, dayOfWeekText, wholeMinutes } from '@/core/units';
import { type Patient, clinicById } from '@/db';
import { languageFor } from '../languages';
import { isLanguageChecked } from '../checked-languages';
import { NOT_FOUND, Problem } from '../problem';
import { complaintsOf } from '../patient/complaints';
import { drawnSideOf, needsOf } from '../patient/pack-line';
import { setUpPhotos, setUpPictures } from './set-up-photos';
import { nextVisitInWords } from './next-visit';
import { setUpWords } from '../patient/set-up-words';
import { figuresOfLines } from '../desk/own-figures';
import { todayOf, wakingOf } from '../programme-facts';
import { newestVersion } from './newest-version';
import { ownCues } from './teaching';

/** Lines to write the counts of a session on; what the phone asks after each set. */
function howManyToWrite({ dose, school }: SentLine, language: Language): string {
  const asks = howMany(dose, school?.id ?? null);
  if (!asks) return '';
  const blanks = Array.from({ length: setsOf(dose.head).most }, () => BLANK).join(' ');
  return asks.unit === null
    ? sayToPatient(language, 'handout.howMany', { blanks })
    : sayToPatient(language, 'handout.howManyLoad', { blanks, blank: BLANK, unit: asks.unit });
}

/** Where a number is written by hand. */
const BLANK = '______';

/** How often an exercise is due on a day of the week table, in words. */
function cellWords(times: number, asNeeded: boolean, language: Language): string {
  if (times === 0)
    return sayToPatient(language, asNeeded ? 'handout.cell.needed' : 'handout.cell.rest');
  return sayToPatient(language, 'handout.cell.times', { n: times });
}

/** First and last pose, drawn here: two engines' sines may differ in the last digit. */
function drawn(
  figure: Figure | null,
  side: 'right' | 'left',
  language: Language,
): Pick<HandoutExercise, 'pictures' | 'description'> {
  if (!figure) return { pictures: [], description: '' };
  const last = figure.poses.length - 1;
  return {
    description: describeFigure(figure, language),
    pictures: [0, last].map((pose) => ({
      name: inLanguage(language, figure.names[pose] ?? ''),
      drawing: drawFigure(figure, pose / last, { side, before: pose > 0 }),
    })),
  };
}

/**
 * The newest version of a patient's programme as a sheet to take home; null before the first.
 *
 * @param address what the code to scan opens
 */
export async function handoutOf(
  patient: Patient,
  address: string,
  photosAs: 'addresses' | 'pictures' = 'addresses',
): Promise<Handout | null> {
  const language = languageFor(patient);
  const [version, clinic, cues, nextVisit, isChecked] = await Promise.all([
    newestVersion(patient),
    clinicById(patient.clinicId),
    ownCues(patient),
    nextVisitInWords(patient, language),
    isLanguageChecked(patient.clinicId, language),
  ]);
  if (!clinic) throw new Problem(404, NOT_FOUND);
  if (!version || version.lines.length === 0) return null;
  const [complaints, figures, photos] = await Promise.all([
    complaintsOf(patient, version.lines),
    figuresOfLines(patient.clinicId, version.lines),
    photosOfLines(patient, version.lines, photosAs),
  ]);
  const today = todayOf(patient);
  const from = version.effectiveFrom > today ? version.effectiveFrom : today;
  const week = weekTable(version.lines, from, wakingOf(patient), version.reviewOn);
  const shared = sharedWhen(version.lines.map(({ dose }) => dose));
  const say = sayerOf(language);
  return {
    clinic: { name: clinic.name, phone: clinic.phone, emergencyText: clinic.emergencyText },
    patientName: patient.name,
    version: version.number,
    language: language.tag,
    way: writtenWay(language.tag),
    words: {
      ...fixedWords(language),
      title: say('handout.title', { name: patient.name }),
      head: [
        say('handout.version', {
          version: version.number,
          date: dateInWords(version.effectiveFrom, language.tag),
        }),
        nextVisit ||
          (version.reviewOn
            ? say('handout.comeBack', { date: dateInWords(version.reviewOn, language.tag) })
            : say('handout.noReview')),
        say('handout.once', { time: timeInWords(version, language) }),
        ...(version.rounds > 1 ? [say('handout.rounds', { rounds: version.rounds })] : []),
      ],
      shared:
        shared.length === 0 ? '' : say('handout.all', { words: sayPhrases(shared, language) }),
      call: say('handout.call', { clinic: clinic.name, phone: clinic.phone }),
      printed: say('handout.printed', { date: dateInWords(today, language.tag) }),
      foot: say('handout.foot', {
        version: version.number,
        date: dateInWords(today, language.tag),
        page: '{page}',
        pages: '{pages}',
      }),
      file: say('handout.file', { version: version.number }),
    },
    exercises: version.lines.map((line) => {
      const { name, mode, steps, feel, normal, stop } = exerciseIn(language, line.exercise);
      const numbersIn = (tongue: Language) =>
        sayPhrases(readBeside(line.dose, mode, waysIn(tongue, waysOf(line)), shared), tongue);
      const complaint = complaints.of(line);
      const side = drawnSideOf(line, language);
      const needs = needsOf(line.exercise, language);
      const pictures = photos.get(line.lineage) ?? [];
      return {
        lineage: line.lineage,
        name,
        complaint: complaint === null ? '' : say('today.for', { complaint }),
        numbers: numbersIn(language),
        numbersBeside: isChecked ? '' : numbersIn(ENGLISH),
        signs: doseSigns(line.dose, mode),
        own: [
          ...setUpWords(line, language).map((words) => say('handout.setUp', { words })),
          ...(cues.get(line.lineage) ?? []).map((cue) =>
            say('handout.forYou', { cue: inLanguage(language, cue) }),
          ),
        ],
        howMany: howManyToWrite(line, language),
        steps,
        about: [
          ...(needs ? [say('player.needs', { needs })] : []),
          ...(feel ? [say('player.felt', { words: feel })] : []),
          ...(normal ? [say('player.normal', { words: normal })] : []),
        ],
        stop: stop ? say('player.stopFor', { words: stop }) : '',
        side: side === '' ? '' : say('handout.drawn', { side }),
        photos: pictures.map((address, index) => ({
          address,
          words: say('player.setUpPhoto', { nth: index + 1, count: pictures.length }),
        })),
        ...drawn(figures(line), line.dose.side === 'left' ? 'left' : 'right', language),
      };
    }),
    week: {
      days: week.days.map((date) => dayOfWeekText(date, language.tag)),
      rows: week.rows.map(({ line, due, asNeeded }) => ({
        name: exerciseIn(language, line.exercise).name,
        due: due.map((times) => ({ times, words: cellWords(times, asNeeded, language) })),
        asNeeded,
      })),
    },
    stopSigns: stopSigns(language),
    stopBeside: isChecked ? [] : stopSigns(ENGLISH),
    normalSigns: language.texts['sign.normal'],
    caution: language.texts.caution,
    address,
  };
}

/** How long a session takes, as the phone says it. */
function timeInWords(version: SentVersion, language: Language): string {
  const { least, most } = wholeMinutes(
    sessionSeconds(sessionTimeline(version.lines, version.rounds)),
  );
  return least === most
    ? sayToPatient(language, 'today.about', { minutes: least })
    : sayToPatient(language, 'today.between', { least, most });
}

/** What every handout of a language says of itself. */
function fixedWords(language: Language) {
  const { texts } = language;
  const key = 'player.key';
  return {
    page: texts['handout.page'],
    code: texts['handout.code'],
    noDrawing: texts['handout.noDrawing'],
    week: texts['handout.week'],
    exercise: texts['handout.exercise'],
    stop: texts['stop.at'],
    missing: texts['handout.missing'],
    about: texts['handout.about'],
    key: Object.fromEntries(
      Object.entries(texts)
        .filter(([name]) => name === key || name.startsWith(`${key}.`))
        .map(([name, text]) => [name.slice(key.length + 1), text]),
    ),
  };
}

/** Where the photos of each set-up are: at addresses for a page of ours, within for a file of its own. */
async function photosOfLines(
  patient: Patient,
  lines: readonly SentLine[],
  as: 'addresses' | 'pictures',
): Promise<ReadonlyMap<string, readonly string[]>> {
  const found = new Map<string, readonly string[]>();
  if (as === 'addresses') {
    const photos = await setUpPhotos(patient);
    for (const { lineage } of lines)
      found.set(
        lineage,
        photos(lineage).map(({ id }) => `/api/v1/photos/picture?id=${id}`),
      );
    return found;
  }
  const pictures = await setUpPictures(patient);
  for (const { lineage } of lines) found.set(lineage, await pictures(lineage));
  return found;
}

/**
 * What the code on a handout opens: a new personal link where one was just made, else the patient's
 * page, which the phone that opened the link before may see.
 */
export function handoutAddress(origin: string, link: string | null): string {
  if (link === null) return `${origin}/today`;
  if (!link.startsWith(`${origin}/open#`))
    throw new Problem(400, 'This is not a link of this clinic. Make a new one.', ['link']);
  return link;
}
