import { isDeepStrictEqual } from 'node:util';
import { type ExerciseSnapshot, type SentVersion, sentVersion, snapshotOf } from '@/core/programme';
import { ENGLISH, type Language, wordsIn } from '@/catalogue';
import type { WordedCatalogue } from '@/catalogue/wording';
import { GRAMMAR, directionMisfit, formatDose, readTyped } from '@/core/dose';
import type { ProgrammeDraft } from '@/core/records';
import { lineFlags } from '@/core/exercise';
import { overlaps } from '@/core/outlook';
import { type PrecautionId, PRECAUTIONS, TRAITS, UNSCREENED, standsFor } from '@/core/screen';
import {
  type LocalDate,
  addDays,
  type ClinicId,
  type EpisodeId,
  type ExerciseId,
  type PatientId,
  type ProgrammeId,
} from '@/core/units';
import {
  GuardRefused,
  type LineRow,
  type Patient,
  audit,
  endPausesOf,
  episodesOf,
  forgetDeskDraft,
  guard,
  hasLogOn,
  insertPause,
  insertProgramme,
  insertVersion,
  newestVersionIs,
  nothingLoggedOn,
  programmeOf,
  screeningAllows,
  standingIs,
  versionsOf,
  write,
} from '@/db';
import { type SignedIn, actorOf, stillMay } from './access';
import { openEpisodes } from './at-hand';
import { now } from './clock';
import { catalogueFor } from './desk/exercises';
import { languageFor } from './languages';
import { patientFor } from './people';
import { Problem } from './problem';
import { todayOf } from './programme-facts';
import { screeningState } from './visit/screening';
import { checkSetUps } from './visit/set-up';

export type SavedVersion = { readonly number: number; readonly effectiveFrom: LocalDate };

/**
 * Writes the next version of a patient's programme. It takes effect today at the earliest, and
 * tomorrow once today has a log. The same draft sent twice makes one version.
 */
export async function saveProgramme(
  member: SignedIn,
  draft: ProgrammeDraft,
): Promise<SavedVersion> {
  const patient = await patientFor(member, draft.patientId);
  const { clinicId } = member;
  const versions = (await versionsOf(clinicId, [patient.id])).get(patient.id) ?? [];
  const newest = versions.at(-1);
  const [catalogue, screening, earliest] = await Promise.all([
    catalogueFor(clinicId),
    screeningState(patient),
    earliestStart(patient),
  ]);
  const lines = checkLines(draft, catalogue, screening.precautions);
  await checkSetUps(patient, draft, lines, catalogue, versions.map(sentVersion));
  if (newest && newest.version.number !== draft.basedOn) {
    const sent = sentVersion(newest);
    if (isSame(sent, draft, lines, member))
      return { number: sent.number, effectiveFrom: sent.effectiveFrom };
    throw new GuardRefused('version');
  }
  const { screened, stamp } = screening;
  if (!standsFor(screened))
    throw new Problem(409, `${UNSCREENED[screened]} Nothing was sent; your lines are kept here.`);
  if (draft.effectiveFrom < earliest) {
    const say =
      earliest === todayOf(patient)
        ? 'A version cannot begin in the past.'
        : 'The patient has already begun today’s session. Let this version begin tomorrow.';
    throw new Problem(409, say, ['effectiveFrom'], { earliest });
  }
  if (draft.reviewOn !== null && draft.reviewOn < draft.effectiveFrom) {
    throw new Problem(400, 'The review would be before the programme begins.', ['reviewOn']);
  }
  const [open, episodes] = await Promise.all([
    openEpisodes(member, patient.id),
    episodesOf(clinicId, patient.id),
  ]);
  const [episode] = open;
  if (!episode) throw new Problem(409, 'The episode of care is closed; open a new one first.');
  const programme = await programmeOf(clinicId, patient.id);
  const programmeId = programme?.id ?? crypto.randomUUID();
  const number = (newest?.version.number ?? 0) + 1;
  const at = now();
  const { effectiveFrom, reviewOn, rounds, reason } = draft;
  const rows = lineRows(draft, lines, catalogue, versions.map(sentVersion), {
    clinicId,
    programmeId,
    number,
    language: languageFor(patient),
    atHand: episode.id,
    // A line of a complaint that was treated beside this one keeps it; one of before is of this one now.
    kept: new Set(
      episodes
        .filter((one) => one.closedOn === null || open.some((other) => overlaps(one, other)))
        .map(({ id }) => id),
    ),
  });
  await write(() => [
    stillMay(member, 'practitioner'),
    guard('version', newestVersionIs(clinicId, patient.id, draft.basedOn)),
    guard('screening', screeningAllows(clinicId, patient.id)),
    guard('screened', standingIs(clinicId, patient.id, stamp)),
    ...(effectiveFrom === todayOf(patient)
      ? [guard('day', nothingLoggedOn(clinicId, patient.id, effectiveFrom))]
      : []),
    ...(programme
      ? []
      : [
          insertProgramme({
            clinicId,
            id: programmeId,
            patientId: patient.id,
            episodeId: episode.id,
          }),
        ]),
    ...insertVersion(
      {
        clinicId,
        programmeId,
        number,
        patientId: patient.id,
        effectiveFrom,
        reviewOn,
        rounds,
        reason,
        authorId: member.id,
        grammar: GRAMMAR,
        createdAt: at,
      },
      rows,
      todayOf(patient),
    ),
    forgetDeskDraft(clinicId, patient.id, member.id),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: `saved version ${number} of`,
      subject: { kind: 'programme', id: programmeId },
    }),
  ]);
  return { number, effectiveFrom };
}

/** Today, or tomorrow once something was logged today. */
export async function earliestStart(patient: Patient): Promise<LocalDate> {
  const today = todayOf(patient);
  return (await hasLogOn(patient.clinicId, patient.id, today)) ? addDays(today, 1) : today;
}

/**
 * The canonical text of every line; a problem at the first that cannot be read or timed, or that is
 * flagged without a reason to go ahead.
 */
function checkLines(
  draft: ProgrammeDraft,
  catalogue: WordedCatalogue,
  precautions: readonly PrecautionId[],
): string[] {
  return draft.lines.map((line, index) => {
    const typed = readTyped(line.dose);
    if (!typed.ok)
      throw new Problem(400, typed.say, ['lines', index, 'dose'], { character: typed.at });
    const { dose } = typed.value;
    const exercise = catalogue.byId(line.exerciseId);
    if (!exercise)
      throw new Problem(400, 'The catalogue has no such exercise.', ['lines', index, 'exerciseId']);
    const refusal = directionMisfit(dose, exercise.directions);
    if (refusal !== null) throw new Problem(400, refusal, ['lines', index, 'dose']);
    const open = lineFlags(precautions, exercise, dose).find(
      ({ precaution, trait }) =>
        !line.overrides?.some((one) => one.precaution === precaution && one.trait === trait),
    );
    if (open)
      throw new Problem(
        400,
        `Flagged: ${TRAITS[open.trait]} (${PRECAUTIONS[open.precaution].name}). Write beside the line why it goes ahead, or choose another.`,
        ['lines', index, 'overrides'],
      );
    return formatDose(dose);
  });
}

function isSame(
  sent: SentVersion,
  draft: ProgrammeDraft,
  texts: readonly string[],
  member: SignedIn,
): boolean {
  return (
    sent.number === draft.basedOn + 1 &&
    sent.authorId === member.id &&
    sent.effectiveFrom === draft.effectiveFrom &&
    sent.reviewOn === draft.reviewOn &&
    sent.rounds === draft.rounds &&
    sent.reason === draft.reason &&
    sent.lines.length === texts.length &&
    sent.lines.every(
      (line, index) =>
        line.text === texts[index] &&
        line.exerciseId === draft.lines[index]?.exerciseId &&
        line.session === (draft.lines[index].session ?? null) &&
        (!draft.lines[index].episodeId || line.episodeId === draft.lines[index].episodeId) &&
        line.school?.id === draft.lines[index].school?.id &&
        isDeepStrictEqual(line.setUp, draft.lines[index].setUp ?? []),
    )
  );
}

/** Lines keep lineage and anchor through versions, so that "every other day" keeps its beat. */
function lineRows(
  draft: ProgrammeDraft,
  texts: readonly string[],
  catalogue: WordedCatalogue,
  earlier: readonly SentVersion[],
  {
    atHand,
    kept,
    language,
    ...ids
  }: {
    clinicId: ClinicId;
    programmeId: ProgrammeId;
    number: number;
    /** The complaint that a new line is for, where the desk does not say. */
    atHand: EpisodeId;
    /** Complaints that a line may be for. */
    kept: ReadonlySet<EpisodeId>;
    language: Language;
  },
): LineRow[] {
  const known = new Map(
    earlier.flatMap((version) => version.lines).map((line) => [line.lineage, line] as const),
  );
  const used = new Set<string>();
  return draft.lines.map((line, place) => {
    const before =
      line.lineage === null || used.has(line.lineage) ? undefined : known.get(line.lineage);
    const continues = before?.exerciseId === line.exerciseId ? before : undefined;
    const lineage = continues?.lineage ?? crypto.randomUUID();
    used.add(lineage);
    return {
      ...ids,
      place,
      lineage,
      anchor: continues?.anchor ?? draft.effectiveFrom,
      exerciseId: line.exerciseId,
      exercise: wordingOf(catalogue, line.exerciseId, language),
      episodeId: [line.episodeId, before?.episodeId].find((of) => of && kept.has(of)) ?? atHand,
      dose: texts[place] ?? '',
      school: line.school ?? null,
      session: line.session ?? null,
      overrides: line.overrides ?? [],
      setUp: line.setUp ?? [],
    };
  });
}

/** The exercise as it is worded today, and as the patient reads it where that is another language. */
function wordingOf(
  catalogue: WordedCatalogue,
  exerciseId: ExerciseId,
  language: Language,
): ExerciseSnapshot {
  const exercise = catalogue.byId(exerciseId);
  if (!exercise) throw new Error('a checked exercise is gone');
  const snapshot = snapshotOf(exercise);
  return language.tag === ENGLISH.tag
    ? snapshot
    : { ...snapshot, told: { language: language.tag, words: wordsIn(language, snapshot) } };
}

/** Pauses a programme from today, or lets it go on again from today. */
export async function setPaused(
  member: SignedIn,
  patientId: PatientId,
  paused: boolean,
): Promise<void> {
  const patient = await patientFor(member, patientId);
  const { clinicId } = member;
  const at = now();
  const today = todayOf(patient);
  const id = crypto.randomUUID();
  await write(() => [
    stillMay(member, 'practitioner'),
    endPausesOf(clinicId, patient.id, addDays(today, -1), member.id, at),
    ...(paused
      ? [
          insertPause({
            clinicId,
            id,
            patientId: patient.id,
            fromDate: today,
            cause: 'clinician' as const,
            createdAt: at,
          }),
        ]
      : []),
    audit({
      clinicId,
      at,
      actor: actorOf(member),
      verb: paused ? 'paused the programme of' : 'resumed the programme of',
      subject: { kind: 'patient', id: patient.id },
    }),
  ]);
}
