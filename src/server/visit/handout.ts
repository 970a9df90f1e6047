import { CLINIC_CAUTION, ENGLISH, sayPhrases, stopSigns, waysOf } from '@/catalogue';
import { doseSigns, readDose, setsOf } from '@/core/dose';
import { type Figure, describeFigure, drawFigure } from '@/core/figure';
import { type Handout, type HandoutExercise, weekTable } from '@/core/handout';
import type { SentLine } from '@/core/programme';
import { howMany } from '@/core/progression';
import { sessionSeconds, sessionTimeline } from '@/core/timeline';
import { type LocalDate, dateInWords, formatRange } from '@/core/units';
import { type Patient, clinicById } from '@/db';
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
function howManyToWrite({ dose, school }: SentLine): string {
  const asks = howMany(dose, school?.id ?? null);
  if (!asks) return '';
  const blanks = Array.from({ length: setsOf(dose.head).most }, () => '______').join(' ');
  return asks.unit === null
    ? `How many, set by set: ${blanks}`
    : `How many, set by set: ${blanks}, with how much: ____ ${asks.unit}`;
}

/** "Mon 23": a day of the week table. */
function dayText(date: LocalDate): string {
  return new Intl.DateTimeFormat('en-GB', {
    weekday: 'short',
    day: 'numeric',
    timeZone: 'UTC',
  }).format(Date.parse(`${date}T00:00:00Z`));
}

/** First and last pose, drawn here: two engines' sines may differ in the last digit. */
function drawn(
  figure: Figure | null,
  side: 'right' | 'left',
): Pick<HandoutExercise, 'pictures' | 'description'> {
  if (!figure) return { pictures: [], description: '' };
  const last = figure.poses.length - 1;
  return {
    description: describeFigure(figure),
    pictures: [0, last].map((pose) => ({
      name: figure.names[pose] ?? '',
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
  const [version, clinic, cues, nextVisit] = await Promise.all([
    newestVersion(patient),
    clinicById(patient.clinicId),
    ownCues(patient),
    nextVisitInWords(patient, ENGLISH),
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
  return {
    clinic: { name: clinic.name, phone: clinic.phone, emergencyText: clinic.emergencyText },
    patientName: patient.name,
    version: version.number,
    effectiveFrom: version.effectiveFrom,
    madeOn: today,
    review: nextVisit
      ? nextVisit
      : version.reviewOn
        ? `Come back on ${dateInWords(version.reviewOn, 'en')}.`
        : 'No day to come back is set: ask your clinic.',
    rounds: version.rounds,
    time: formatRange(sessionSeconds(sessionTimeline(version.lines, version.rounds))),
    exercises: version.lines.map((line) => {
      const { name, mode, steps, cues: usual, feel = '', normal = '', stop = '' } = line.exercise;
      return {
        lineage: line.lineage,
        name,
        complaint: complaints.of(line),
        numbers: sayPhrases(readDose(line.dose, mode, waysOf(line)), 'patient'),
        signs: doseSigns(line.dose, mode),
        setUp: setUpWords(line),
        howMany: howManyToWrite(line),
        steps,
        own: cues.get(line.lineage) ?? [],
        cues: usual,
        needs: needsOf(line.exercise),
        feel,
        normal,
        stop,
        side: drawnSideOf(line),
        photos: photos.get(line.lineage) ?? [],
        ...drawn(figures(line), line.dose.side === 'left' ? 'left' : 'right'),
      };
    }),
    week: {
      days: week.days.map(dayText),
      rows: week.rows.map(({ line, due, asNeeded }) => ({
        name: line.exercise.name,
        due,
        asNeeded,
      })),
    },
    stopSigns: stopSigns(ENGLISH),
    normalSigns: ENGLISH.texts['sign.normal'],
    caution: CLINIC_CAUTION,
    address,
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
