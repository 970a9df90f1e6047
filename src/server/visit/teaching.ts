import type { SentLine } from '@/core/programme';
import { isDeepStrictEqual } from 'node:util';
import { sayPhrases, sayToClinician, waysOf } from '@/catalogue';
import type { WordedCatalogue } from '@/catalogue/wording';
import { directionNames, readDose } from '@/core/dose';
import { leftUnwritten } from '@/core/timeline';
import type { Figure, Muscle } from '@/core/figure';
import type { TeachBackDraft } from '@/core/records';
import { PRECAUTIONS, TRAITS } from '@/core/screen';
import {
  type SheetLine,
  type TaughtLine,
  cuesByLineage,
  expectedParts,
  sentencesFor,
  taughtInWords,
} from '@/core/teach';
import type { LocalDate } from '@/core/units';
import {
  type Patient,
  forgetVisitDraft,
  guard,
  insertTeachBack,
  membersOf,
  newestVersionIs,
  teachBacksOf,
} from '@/db';
import { type SignedIn, roleSuffices } from '../access';
import { catalogueFor } from '../desk/exercises';
import { figuresOfLines } from '../desk/own-figures';
import { setUpWords } from '../patient/set-up-words';
import { patientFor } from '../people';
import { Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { newestConsent } from './entries';
import { leftShowing } from '../share/showing';
import { findingList } from './findings';
import { newestVersion } from './newest-version';
import { setUpPhotos, unseenSetUpPhotos } from './set-up-photos';
import { keptVisitDraft } from './visit-drafts';
import { writeAs } from './write-as';

/** This patient's own reminders after all teachings, by line. */
export async function ownCues(patient: Patient): Promise<ReadonlyMap<string, readonly string[]>> {
  const rows = await teachBacksOf(patient.clinicId, patient.id);
  return cuesByLineage(rows.reverse().map((row) => row.body.lines));
}

/** Unwritten parts of a dose in words: the missing, and what stands in for the rest. */
export function unwrittenInWords(
  line: SentLine,
  needs: { readonly sided: boolean; readonly effort: boolean },
): string[] {
  const { missing, assumed } = leftUnwritten(line.dose, line.mode, needs);
  return [
    ...missing.map(sayToClinician),
    ...assumed.map((phrase) => `${sayToClinician(phrase)} (assumed)`),
  ];
}

/** One line as the run sheet shows it. */
function sheetLine(
  line: SentLine,
  catalogue: WordedCatalogue,
  figure: Figure | null,
): SheetLine & { muscles: Muscle[] } {
  const current = catalogue.byId(line.exerciseId);
  const { name, mode, stop = '', muscles = [] } = line.exercise;
  return {
    lineage: line.lineage,
    exercise: {
      name,
      muscles,
      stop,
      watch: current?.watch ?? '',
      purpose: current?.purpose ?? 're-educate',
      family: current?.family ?? 'Posture and breathing',
    },
    words: sayPhrases(readDose(line.dose, mode, waysOf(line))),
    setUp: setUpWords(line),
    missing: unwrittenInWords(line, current?.needs ?? { sided: false, effort: false }),
    overridden: line.overrides.map(
      ({ precaution, trait, reason }) =>
        `Goes ahead against “${TRAITS[trait]}” (${PRECAUTIONS[precaution].name}): ${reason}.`,
    ),
    muscles: figure ? [...new Set(figure.lit.map(({ muscle }) => muscle))] : [],
  };
}

export type SignedTeaching = {
  readonly id: string;
  readonly on: LocalDate;
  readonly version: number;
  readonly by: string;
  readonly lines: readonly string[];
};

/** Everything the Teach step shows. */
export async function teachStep(member: SignedIn, patient: Patient) {
  const [version, catalogue, findings, consent, rows, members, kept, left] = await Promise.all([
    newestVersion(patient),
    catalogueFor(patient.clinicId),
    findingList(patient),
    newestConsent(patient),
    teachBacksOf(patient.clinicId, patient.id, 20),
    membersOf(patient.clinicId),
    roleSuffices(member.role, 'practitioner') ? keptVisitDraft(member, patient.id, 'teach') : null,
    leftShowing(member, patient.id),
  ]);
  const names = new Map(members.map(({ id, name }) => [id, name]));
  const lines = version?.lines ?? [];
  const [figures, photos, unseenPhotos] = await Promise.all([
    figuresOfLines(patient.clinicId, lines),
    setUpPhotos(patient),
    unseenSetUpPhotos(
      patient,
      lines.map(({ lineage }) => lineage),
    ),
  ]);
  const pages = lines.map((line) => {
    const sheet = sheetLine(line, catalogue, figures(line));
    const { faults = {}, feel = '', normal = '', cues, steps } = line.exercise;
    return {
      lineage: line.lineage,
      exerciseId: line.exerciseId,
      name: line.exercise.name,
      sentences: sentencesFor(sheet, findings.confirmed),
      missing: sheet.missing,
      steps,
      cues,
      feel,
      normal,
      expected: expectedParts(sheet.muscles),
      faults: Object.entries(faults).map(([fault, fix]) => ({ fault, fix })),
      dose: line.dose,
      mode: line.mode,
      position: line.position,
      directions: directionNames(line.dose, waysOf(line).directions),
      sides: waysOf(line).sides,
      text: line.text,
      figure: figures(line),
      photos: photos(line.lineage),
    };
  });
  const nameOf = new Map(pages.map(({ lineage, name }) => [lineage, name]));
  return {
    version: version && {
      programmeId: version.programmeId,
      number: version.number,
      reviewOn: version.reviewOn,
      effectiveFrom: version.effectiveFrom,
    },
    pages,
    consented: consent?.body.exercise === true,
    photosConsented: consent?.body.photos === true,
    unseenPhotos,
    kept,
    leftShowing: left,
    signed: rows.map((row): SignedTeaching => ({
      id: row.id,
      on: row.localDate,
      version: row.version,
      by: names.get(row.authorId) ?? '',
      lines: row.body.lines.map((line) =>
        taughtInWords(nameOf.get(line.lineage) ?? 'An exercise no longer in the programme', line),
      ),
    })),
  };
}

export type TeachStep = Awaited<ReturnType<typeof teachStep>>;

/** Signs a teaching. It is dated, carries who signed, and is never changed. */
export async function signTeaching(
  member: SignedIn,
  draft: Omit<TeachBackDraft, 'lines'> & { readonly lines: readonly TaughtLine[] },
): Promise<{ readonly id: string }> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const version = await newestVersion(patient);
  if (!version || version.programmeId !== draft.programmeId || version.number !== draft.version)
    throw new Problem(
      409,
      `The programme ${version ? `is at version ${version.number} now` : 'is gone'}, and you taught version ${draft.version}. What you ticked is kept: load the page, look at what changed, and sign then.`,
    );
  const known = new Set(version.lines.map(({ lineage }) => lineage));
  if (!draft.lines.every(({ lineage }) => known.has(lineage)))
    throw new Problem(409, 'An exercise that was taught is not in this version. Load the page.');
  const body = { lines: draft.lines, closing: draft.closing };
  await writeAs(member, 'practitioner', {
    verb: 'signed',
    subject: { kind: 'teach-back', id: draft.id },
    statements: (at) => [
      guard('version', newestVersionIs(clinicId, patient.id, draft.version)),
      ...insertTeachBack({
        clinicId,
        id: draft.id,
        patientId: patient.id,
        programmeId: draft.programmeId,
        version: draft.version,
        localDate: todayOf(patient),
        body,
        authorId: member.id,
        createdAt: at,
      }),
      forgetVisitDraft({ clinicId, patientId: patient.id, memberId: member.id, kind: 'teach' }),
    ],
    isThere: async () =>
      (await teachBacksOf(clinicId, patient.id)).some(
        (row) => row.id === draft.id && isDeepStrictEqual(row.body, body),
      ),
  });
  return { id: draft.id };
}
