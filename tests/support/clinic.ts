import { programmeFileText } from '@/core/exchange';
import { WORDED } from '@/catalogue/wording';
import {
  type OwnExerciseDraft,
  type ProgrammeDraft,
  type Role,
  type TemplateDraft,
  exerciseDraft,
} from '@/core/records';
import type { Instant, WallMinute, Zone } from '@/core/schedule';
import { answerTheRestNo, standsFor } from '@/core/screen';
import { type LocalDate, addDays } from '@/core/units';
import {
  closeDatabase,
  insertClinic,
  insertMember,
  memberBySession,
  patientByDevice,
  write,
} from '@/db';
import {
  type AnyMember,
  type PatientHere,
  type SignedIn,
  patientHereOf,
  signedInOf,
} from '@/server/access';
import { now } from '@/server/clock';
import { issueLink, openLink } from '@/server/links';
import { hashPassword } from '@/server/passwords';
import { addPatient, patientFor } from '@/server/people';
import { saveProgramme } from '@/server/save-programme';
import { hashToken } from '@/server/secrets';
import { signIn } from '@/server/sign-in';
import { saveScreening, screeningState } from '@/server/visit/screening';
import { dateIn } from '@/core/schedule';
import { migrated } from './migrated';

export const PASSWORD = 'a long enough password';
export const ZONE = (process.env.ZONE_OF_RUN ?? 'Europe/Lisbon') as Zone;

/** An instant, milliseconds since 1970. */
export const instant = (value: number) => value as Instant;

/** A wall clock's minute of the day. */
export const minute = (value: number) => value as WallMinute;

/** Points this process at a database in the folder, migrated. */
export async function useDatabase(folder: string): Promise<void> {
  closeDatabase();
  process.env.DATA_DIR = folder;
  await migrated();
}

export type TestClinic = { readonly id: string; readonly emails: Readonly<Record<Role, string>> };

/** A domain nobody else uses. */
export const ownDomain = () => `${crypto.randomUUID()}.example`;

let passwordHash: Promise<string> | undefined;

/**
 * A clinic with one member of every role.
 *
 * @param domain of their addresses; one of its own where the server has other clinics of this name
 */
export async function makeClinic(name: string, domain = `${name}.example`): Promise<TestClinic> {
  passwordHash ??= hashPassword(PASSWORD);
  const hash = await passwordHash;
  const id = crypto.randomUUID();
  const email = (role: Role) => `${role}@${domain}`;
  const roles: Role[] = ['lead', 'practitioner', 'assistant'];
  await write(() => [
    insertClinic({
      id,
      name,
      phone: '+000 555 01',
      emergencyText: 'Call 000.',
      zone: ZONE,
      createdAt: now(),
    }),
    ...roles.map((role) =>
      insertMember({
        clinicId: id,
        id: crypto.randomUUID(),
        name: `${role} of ${name}`,
        email: email(role),
        role,
        passwordHash: hash,
        createdAt: now(),
      }),
    ),
  ]);
  return {
    id,
    emails: {
      lead: email('lead'),
      practitioner: email('practitioner'),
      assistant: email('assistant'),
    },
  };
}

/** Signs a member in and returns them with the token of the cookie. */
export async function member(
  email: string,
  address = 'test',
): Promise<SignedIn & { token: string }> {
  const { token } = await signIn(email, PASSWORD, address);
  return { ...withFactor(await memberBehind(token)), token };
}

/** The member whose session has this token. */
export async function memberBehind(token: string): Promise<AnyMember> {
  const tokenHash = hashToken(token);
  const found = await memberBySession(tokenHash, now());
  if (!found) throw new Error('not signed in');
  return signedInOf(found, tokenHash);
}

/** A member whose clinic wants no second factor, or who has it. */
export function withFactor(member: AnyMember): SignedIn {
  if (member.lacksFactor) throw new Error('they lack their second factor');
  return member;
}

/** A patient as the form sends them. */
export const newPatient = (name: string) => ({
  id: crypto.randomUUID(),
  name,
  complaint: 'Neck',
  zone: ZONE,
  wakeMinute: minute(420),
  sleepMinute: minute(1320),
  minutesADay: 10,
});

export async function makePatient(by: SignedIn, name = 'Test Patient'): Promise<string> {
  const { id } = await addPatient(by, { ...newPatient(name), another: true });
  return id;
}

/** Opens a patient's link on a new device. */
export async function device(
  by: SignedIn,
  patientId: string,
): Promise<PatientHere & { token: string; link: string }> {
  const { token: link } = await issueLink(by, patientId, true);
  const { device: token } = await openLink(link);
  const tokenHash = hashToken(token);
  const found = await patientByDevice(tokenHash, now());
  if (!found) throw new Error('no patient on this device');
  return { ...patientHereOf(found, tokenHash), token, link };
}

export function today(days = 0): LocalDate {
  return addDays(dateIn(ZONE, now()), days);
}

type LineInput = Omit<ProgrammeDraft['lines'][number], 'lineage'> & {
  readonly lineage?: string | null;
};

/** An exercise of a clinic's own. */
export function ownDraft(name: string, change: Partial<OwnExerciseDraft> = {}): OwnExerciseDraft {
  const pattern = WORDED.byId('wall-press');
  if (!pattern) throw new Error('the catalogue has changed');
  return { ...exerciseDraft(pattern), name, ...change };
}

export function aTemplate(name: string, id: string = crypto.randomUUID()): TemplateDraft {
  return { id, name, rounds: 1, lines: [{ exerciseId: 'tuck-lying', dose: '10x10s' }] };
}

/** A file of a programme with one line that ships and one of another clinic's own. */
export function programmeText(own: OwnExerciseDraft, name = 'From another clinic'): string {
  const line = { school: null, session: null };
  return programmeFileText({
    name,
    rounds: 1,
    lines: [
      { ...line, id: 'tuck-lying', exercise: 'Tuck lying down', dose: '10x10s gap 5s daily' },
      { ...line, id: null, exercise: own.name, dose: '3x10 daily' },
    ],
    exercises: [own],
  });
}

/** Screens a patient, everything "no", unless a screening stands that something may be sent on. */
export async function screened(by: SignedIn, patientId: string): Promise<void> {
  const { screened: standing } = await screeningState(await patientFor(by, patientId));
  if (standsFor(standing)) return;
  await saveScreening(by, {
    id: crypto.randomUUID(),
    patientId,
    fromId: null,
    ...answerTheRestNo({ answers: {}, age: 40, pressure: null }),
  });
}

/** A patient to whom something may be sent. */
export async function screenedPatient(by: SignedIn, name?: string): Promise<string> {
  const id = await makePatient(by, name);
  await screened(by, id);
  return id;
}

/** Saves a programme of these lines for a patient who is screened. */
export async function prescribe(
  by: SignedIn,
  patientId: string,
  lines: readonly LineInput[],
  more: {
    basedOn?: number;
    effectiveFrom?: LocalDate;
    reviewOn?: LocalDate;
    reason?: string;
    rounds?: number;
  } = {},
) {
  await screened(by, patientId);
  return saveProgramme(by, {
    patientId,
    basedOn: more.basedOn ?? 0,
    effectiveFrom: more.effectiveFrom ?? today(),
    reviewOn: more.reviewOn ?? null,
    rounds: more.rounds ?? 1,
    reason: more.reason ?? '',
    lines: lines.map((line) => ({ ...line, lineage: line.lineage ?? null })),
  });
}
