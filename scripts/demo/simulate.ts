import { doseOf } from '@/core/dose';
import { NO_SETTINGS } from '@/core/school';
import type { Story } from './story';
import { lineFlags } from '@/core/exercise';
import { type WallMinute, instantAt } from '@/core/schedule';
import { type LocalDate } from '@/core/units';
import { memberBySession, openAlertsOf, patientByDevice } from '@/db';
import { type PatientHere, type SignedIn, patientHereOf, signedInOf } from '@/server/access';
import { now, setClock } from '@/server/clock';
import { NO_DETAILS } from '@/core/records';
import { saveDetails, saveLanguage } from '@/server/details';
import { catalogueFor } from '@/server/desk/exercises';
import { openAnother } from '@/server/episodes';
import { issueLink, openLink } from '@/server/links';
import { acknowledge, addPatient, patientFor } from '@/server/people';
import { decideProposal, sendAccepted } from '@/server/follow/decide';
import { proposalsOf } from '@/server/follow/proposals';
import { saveProgramme, setPaused } from '@/server/save-programme';
import { hashToken } from '@/server/secrets';
import { signIn } from '@/server/sign-in';
import { addDays } from '@/core/units';
import { SAID_PARTS, untaught } from '@/core/teach';
import { newestVersion } from '@/server/visit/newest-version';
import { signTeaching } from '@/server/visit/teaching';
import { measuredSetUp } from '@/core/set-up';
import { saveEntry } from '@/server/visit/entries';
import { findingList } from '@/server/visit/findings';
import { latestMeasures } from '@/server/visit/measuring';
import { screeningState } from '@/server/visit/screening';
import { setUpFacts } from '@/server/visit/set-up';
import { carryOut, screenAgain } from './visit';
import { VISITS } from './visits';
import { CLINIC, DAYS, DEMO_PASSWORD } from './world';
import { type Chance, chance } from './chance';
import { liveDay, sentVersions, tellOfDay } from './days';

/** Days from the last version to the review: some weeks after the last day that is simulated. */
const REVIEW_AFTER = 42;

/** Signs a member in, as the sign-in page does. */
export async function memberFor(email: string, password = DEMO_PASSWORD): Promise<SignedIn> {
  const tokenHash = hashToken((await signIn(email, password, 'demo')).token);
  const found = await memberBySession(tokenHash, now());
  if (!found) throw new Error(`${email} is not signed in`);
  const member = signedInOf(found, tokenHash);
  if (member.lacksFactor) throw new Error(`${email} has no second factor yet`);
  return member;
}

/** Lives one story through the same functions as real use, on a clock of its own. */
export async function live(
  story: Story,
  seed: number,
  dates: readonly LocalDate[],
  practitioner: () => Promise<SignedIn>,
  until: number = DAYS,
): Promise<{ patientId: string; token: string }> {
  const luck = chance(seed);
  // What is told of the days is drawn apart, so that the sessions stay as they were.
  const words = chance(seed + 1000);
  // Early in the morning today's visits are made now: no record is of a time that is yet to come.
  const at = (day: number, minute: number) => {
    const wanted = instantAt(CLINIC.zone, dates[day] as LocalDate, minute as WallMinute);
    setClock(() => Math.min(wanted, Date.now()));
  };
  const visits = VISITS[story.name] ?? [];
  const begin = Math.min(story.versions[0]?.onDay ?? DAYS, visits[0]?.onDay ?? DAYS);
  at(begin, 9 * 60 + 5);
  let member = await practitioner();
  const { id: patientId } = await addPatient(member, {
    id: luck.id(),
    name: story.name,
    complaint: story.complaint,
    area: story.area,
    zone: CLINIC.zone,
    wakeMinute: story.wake as WallMinute,
    sleepMinute: story.sleep as WallMinute,
    minutesADay: story.minutesADay,
  });
  if (story.language) await saveLanguage(member, { patientId, language: story.language });
  if (story.home)
    await saveEntry(member, {
      id: luck.id(),
      patientId,
      kind: 'home',
      supersedes: null,
      on: dates[begin] as LocalDate,
      body: story.home,
    });
  let here: PatientHere | null = null;
  let token = '';
  const toDecide = [...(story.decides ?? [])];
  for (let day = begin; day < until; day += 1) {
    const written = story.versions.findIndex((version) => version.onDay === day);
    const visit = visits.find((one) => one.onDay === day);
    const [decision] = toDecide;
    if (decision && decision.fromDay <= day) {
      at(day, 9 * 60 + 5);
      member = await practitioner();
      const { decline = null } = decision;
      if (await decided(member, patientId, decline, dates[day] as LocalDate, luck))
        toDecide.shift();
    }
    if (visit || written >= 0 || story.resumes.includes(day)) {
      at(day, 9 * 60 + 10);
      member = await practitioner();
      if (story.resumes.includes(day)) {
        await setPaused(member, patientId, false);
        for (const alert of await openAlertsOf(member.clinicId, [patientId]))
          await acknowledge(member, alert.id);
      }
      if (visit)
        await carryOut(
          member,
          patientId,
          story.complaint,
          visit,
          dates[day] as LocalDate,
          async () => {
            if (token === '') ({ token } = await issueLink(member, patientId, true));
            return opened(token);
          },
        );
      if (story.second?.onDay === day)
        await openAnother(member, {
          id: luck.id(),
          patientId,
          complaint: story.second.complaint,
          area: story.second.area,
        });
      if (written >= 0) {
        await writeVersion(member, patientId, story, written, dates[day] as LocalDate);
        if (written === 0) await teach(member, patientId, story);
      }
      if (token === '' && written >= 0) ({ token } = await issueLink(member, patientId, true));
    }
    if (!story.day) continue;
    at(day, 9 * 60 + 40);
    here ??= await opened(token);
    await liveDay(here, story, story.day(day), day, dates[day] as LocalDate, luck, at);
    await tellOfDay(here, story, story.day(day), day, dates[day] as LocalDate, words, at);
  }
  at(until - 1, 9 * 60 + 50);
  member = await practitioner();
  await saveDetails(member, {
    patientId,
    basedOn: 0,
    details: { ...NO_DETAILS, phones: [{ number: `+000 555 ${seed}`, what: '' }] },
  });
  if (story.next)
    await saveEntry(member, {
      id: luck.id(),
      patientId,
      kind: 'next-visit',
      supersedes: null,
      on: dates[until - 1] as LocalDate,
      body: {
        date: addDays(dates[until - 1] as LocalDate, story.next.inDays),
        minute: story.next.minute,
        way: 'in the room',
        note: '',
      },
    });
  setClock(null);
  return { patientId, token };
}

/** The first programme is taught in the room: everything said and shown, the usual fault put right. */
async function teach(member: SignedIn, patientId: string, story: Story): Promise<void> {
  const version = await newestVersion(await patientFor(member, patientId));
  if (!version) return;
  await signTeaching(member, {
    id: crypto.randomUUID(),
    patientId,
    programmeId: version.programmeId,
    version: version.number,
    lines: version.lines.map((line, index) => {
      const [fault] = Object.entries(line.exercise.faults ?? {});
      return {
        ...untaught(line.lineage),
        said: [...SAID_PARTS],
        demonstrated: true,
        watched: true,
        felt: ['back left neck', 'back right neck'],
        comfortable: 'yes',
        breathing: 'yes',
        faults: index === 1 && fault ? [{ fault: fault[0], fix: fault[1] }] : [],
        cue: index === 0 ? (story.cue ?? '') : '',
        questions: '',
      };
    }),
    closing: { doseSaidAgain: true, dayToComeBack: true },
  });
}

async function opened(token: string): Promise<PatientHere> {
  const { device } = await openLink(token);
  const tokenHash = hashToken(device);
  const found = await patientByDevice(tokenHash, now());
  if (!found) throw new Error('the link did not open');
  return patientHereOf(found, tokenHash);
}

/** Why flagged lines of the demo go ahead where a story gives no reason of its own. */
const WATCHED = 'Shown and watched at the visit; kept small, stops at the first sign';

/** Takes the first proposal and sends it, or declines it with a reason; false while there is none. */
async function decided(
  member: SignedIn,
  patientId: string,
  decline: string | null,
  date: LocalDate,
  luck: Chance,
): Promise<boolean> {
  const view = await proposalsOf(await patientFor(member, patientId));
  const proposal = view?.open[0];
  if (!view || !proposal) return false;
  await decideProposal(member, {
    id: luck.id(),
    patientId,
    key: proposal.key,
    version: view.version,
    decision: decline === null ? 'accepted' : 'declined',
    dose: null,
    reason: decline ?? '',
  });
  if (decline === null)
    await sendAccepted(member, { patientId, basedOn: view.version, effectiveFrom: date });
  return true;
}

async function writeVersion(
  member: SignedIn,
  patientId: string,
  story: Story,
  index: number,
  date: LocalDate,
): Promise<void> {
  const version = story.versions[index];
  if (!version) return;
  const before = await sentVersions(member.clinicId, patientId);
  const newest = before.at(-1);
  const patient = await patientFor(member, patientId);
  await screenAgain(member, patient);
  const [{ precautions }, catalogue] = await Promise.all([
    screeningState(patient),
    catalogueFor(member.clinicId),
  ]);
  const measured = setUpFacts(
    await latestMeasures(patient),
    (await findingList(patient)).confirmed,
  );
  const setUpOf = (exerciseId: string, dose: string) => {
    const exercise = catalogue.byId(exerciseId);
    return exercise ? measuredSetUp(exercise, doseOf(dose), measured) : [];
  };
  const flagsOf = (exerciseId: string, dose: string) => {
    const exercise = catalogue.byId(exerciseId);
    return exercise ? lineFlags(precautions, exercise, doseOf(dose)) : [];
  };
  await saveProgramme(member, {
    patientId,
    basedOn: newest?.number ?? 0,
    effectiveFrom: date,
    reviewOn: index === story.versions.length - 1 ? addDays(date, REVIEW_AFTER) : null,
    rounds: version.rounds ?? 1,
    reason: version.reason,
    lines: version.lines.map(([exerciseId, dose, more]) => ({
      exerciseId,
      dose,
      school: more?.school ? { id: more.school, settings: NO_SETTINGS } : null,
      session: more?.session ?? null,
      overrides: flagsOf(exerciseId, dose).map((flag) => ({
        ...flag,
        reason: more?.why ?? WATCHED,
      })),
      setUp: more?.setUp ? setUpOf(exerciseId, dose) : [],
      lineage: newest?.lines.find((line) => line.exerciseId === exerciseId)?.lineage ?? null,
    })),
  });
}
