import { catalogueOf } from '@/catalogue';
import { type Circumstances, circumstancesOf, suggest, withFamilies } from '@/core/choose';
import { type SentVersion, versionDifference } from '@/core/programme';
import { detailsFor } from './details';
import { irritability } from '@/core/symptoms';
import { type Patient, membersOf, newestLinkOf, teachBacksOf } from '@/db';
import type { SignedIn } from './access';
import { roleSuffices } from './access';
import { bandsOf } from './desk/bands';
import { keptDraft, othersWriting } from './desk/drafts';
import { ownExercises } from './desk/exercises';
import { offeredReady } from './desk/ready';
import { templateList } from './desk/templates';
import { triageLimitsOf } from './follow/marks';
import { factsOf, todayOf, wakingOf } from './programme-facts';
import { setUpFacts } from './visit/set-up';
import { earliestStart } from './save-programme';
import { newestEntry, newestHistory } from './visit/entries';
import { findingList } from './visit/findings';
import { detectableChangesOf, latestMeasures } from './visit/measuring';

/** Earlier versions the desk shows; all of them stay in the record. */
const MOST_VERSIONS = 20;

/** A version's lines as the desk holds them. */
function deskLines(version: SentVersion) {
  return version.lines.map((line) => ({
    uid: line.lineage,
    lineage: line.lineage,
    anchor: line.anchor,
    exerciseId: line.exerciseId,
    dose: line.text,
    school: line.school,
    session: line.session,
    overrides: line.overrides,
    setUp: [...line.setUp],
    episodeId: line.episodeId ?? null,
    lastMax: line.lastMax ?? null,
  }));
}

const compared = (version: SentVersion) => ({
  rounds: version.rounds,
  lines: version.lines.map(({ lineage, exercise, dose, session, setUp }) => ({
    lineage,
    name: exercise.name,
    dose,
    session,
    setUp,
  })),
});

/** What the Plan desk begins with: the newest version's lines, to become the next version. */
export async function planOf(patient: Patient) {
  const today = todayOf(patient);
  const [facts] = await factsOf(patient.clinicId, [patient], today, today);
  const versions = facts?.versions ?? [];
  const newest = versions.at(-1) ?? null;
  const earliest = await earliestStart(patient);
  return {
    versions,
    newest: newest?.number ?? 0,
    earliest,
    waking: wakingOf(patient),
    desk: {
      lines: newest ? deskLines(newest) : [],
      rounds: newest?.rounds ?? 1,
      effectiveFrom: earliest,
      reviewOn: newest?.reviewOn != null && newest.reviewOn >= earliest ? newest.reviewOn : '',
      reason: '',
    },
  };
}

/** Home, weights and the day as they were last recorded; null while nobody has asked. */
export function homeOf(patient: Patient) {
  return newestEntry(patient, 'home');
}

/** Everything the desk reckons with beside the programme itself. */
export async function deskOf(member: SignedIn, patient: Patient) {
  const { clinicId } = patient;
  const { versions, ...plan } = await planOf(patient);
  const [
    findings,
    measures,
    detectable,
    history,
    home,
    dayPlan,
    own,
    bands,
    templates,
    ready,
    kept,
    others,
    members,
    limits,
    { details },
  ] = await Promise.all([
    findingList(patient),
    latestMeasures(patient),
    detectableChangesOf(clinicId),
    newestHistory(patient),
    homeOf(patient),
    newestEntry(patient, 'day-plan'),
    ownExercises(clinicId),
    bandsOf(clinicId),
    templateList(clinicId),
    offeredReady(clinicId),
    roleSuffices(member.role, 'practitioner') ? keptDraft(member, patient.id) : null,
    othersWriting(member, patient.id),
    membersOf(clinicId),
    triageLimitsOf(clinicId),
    detailsFor(patient),
  ]);
  const names = new Map(members.map(({ id, name }) => [id, name]));
  return {
    ...plan,
    today: todayOf(patient),
    findings: findings.confirmed.map(withFamilies),
    goodSessions: limits.goodSessions,
    leastRungDays: limits.leastRungDays,
    setUp: setUpFacts(measures, findings.confirmed),
    facts: {
      measures,
      detectable,
      irritability: history?.irritability ? irritability(history.irritability) : null,
      sex: details.sex,
    },
    home: home?.body ?? null,
    homeId: home?.id ?? null,
    dayPlan: dayPlan?.body.at ?? {},
    dayPlanId: dayPlan?.id ?? null,
    own,
    bands,
    templates,
    ready,
    kept,
    others,
    earlier: versions
      .map((version, index) => ({ version, before: versions[index - 1] }))
      .slice(-MOST_VERSIONS)
      .reverse()
      .map(({ version, before }) => ({
        number: version.number,
        effectiveFrom: version.effectiveFrom,
        reason: version.reason,
        author: names.get(version.authorId) ?? '',
        rounds: version.rounds,
        lines: deskLines(version),
        difference: before ? versionDifference(compared(before), compared(version)) : [],
      })),
  };
}

/** What the findings ask for, as far as the desk shows and adds it. */
export function suggestedOf(
  { findings, own, facts, home }: Awaited<ReturnType<typeof deskOf>>,
  precautions: Circumstances['precautions'],
) {
  const circumstances = circumstancesOf(home, precautions);
  return suggest(findings, catalogueOf(own).all, facts, circumstances).map(
    ({ exercise, findings: answered, ...suggestion }) => ({
      exerciseId: exercise.id,
      name: exercise.name,
      rung: exercise.rung,
      answers: answered.length,
      ...suggestion,
    }),
  );
}

/** What is still to do with a version that was just saved: whether its link was opened, and it was taught. */
export async function afterSave(patient: Patient, number: number) {
  const [link, teachings] = await Promise.all([
    newestLinkOf(patient.clinicId, patient.id),
    teachBacksOf(patient.clinicId, patient.id, 1),
  ]);
  return {
    linkOpened: link?.openedAt != null && link.revokedAt === null,
    taught: teachings.some(({ version }) => version === number),
  };
}
