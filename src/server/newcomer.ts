import { ENGLISH } from '@/catalogue';
import { searchText } from '@/core/identity';
import type { EpisodeArea } from '@/core/measures';
import { NO_DETAILS } from '@/core/records';
import { type Instant, type WallMinute, type Zone, dateIn } from '@/core/schedule';
import type { LocalDate, PatientId } from '@/core/units';
import { type Statement, insertEpisode, insertPatient, putDetails } from '@/db';
import type { SignedIn } from './access';

/** How a day is taken until somebody asks: the patient sets it on the phone. */
const WAKE = 420 as WallMinute;
const SLEEP = 1320 as WallMinute;

/** A patient as another program knows them. */
export type Newcomer = {
  readonly id: PatientId;
  readonly name: string;
  readonly zone: Zone;
  readonly complaint: string;
  readonly area: EpisodeArea | null;
  readonly birthDate: LocalDate | null;
  readonly phones: readonly string[];
  readonly email: string;
  readonly clinicNumber: string;
  readonly sex: 'female' | 'male' | null;
  readonly minutesADay: number | null;
};

/** A patient who comes from another program, with the episode they come for. */
export function newcomer(member: SignedIn, one: Newcomer, at: Instant): Statement[] {
  const { clinicId } = member;
  const { id, name, zone, complaint, area, birthDate, minutesADay } = one;
  const { phones, email, clinicNumber, sex } = one;
  return [
    insertPatient({
      clinicId,
      id,
      name,
      zone,
      wakeMinute: WAKE,
      sleepMinute: SLEEP,
      minutesADay,
      practitionerId: member.id,
      birthDate,
      language: ENGLISH.tag,
      contact: '',
      createdAt: at,
      archivedAt: null,
      search: searchText({ name, clinicNumber, phones, complaints: [complaint] }) || '-',
    }),
    insertEpisode({
      clinicId,
      id: crypto.randomUUID(),
      patientId: id,
      complaint,
      area,
      openedOn: dateIn(zone, at),
      closedOn: null,
    }),
    putDetails({
      clinicId,
      patientId: id,
      body: {
        ...NO_DETAILS,
        phones: phones.map((number) => ({ number, what: '' })),
        email,
        clinicNumber,
        sex,
      },
      updatedAt: at,
      authorId: member.id,
    }),
  ];
}
