import { PatientDetails, PatientDraft } from '../records';
import type { LocalDate } from '../units';
import type { PatientResource } from './resources';

/** A patient of another system, as far as there is a place for it here. */
export type ForeignPatient = {
  readonly id: string | null;
  readonly name: string;
  readonly birthDate: LocalDate | null;
  readonly sex: 'female' | 'male' | null;
  readonly phones: readonly string[];
  readonly email: string;
  readonly clinicNumber: string;
  /** Who says so, where the file tells it. */
  readonly from: string;
};

/** Their name: the one that is used, whole as it is written, or the given and the family name. */
function nameOf({ name = [] }: PatientResource): string {
  const by = (use: string) => name.find((one) => one.use === use);
  const chosen = by('official') ?? by('usual') ?? name.find((one) => one.use !== 'old') ?? name[0];
  const said = chosen?.text ?? [...(chosen?.given ?? []), chosen?.family ?? ''].join(' ');
  return said.trim().replace(/\s+/g, ' ');
}

/**
 * Reads a patient. What does not pass the checks of the clinic's own forms is left out: a number that is
 * none, a birth date that is half one.
 */
export function patientThere(resource: PatientResource): ForeignPatient {
  const { id = null, telecom = [], gender, birthDate, identifier = [] } = resource;
  const phones = PatientDetails.shape.phones.element.shape.number;
  const taken = telecom
    .filter(({ system, use }) => (system === 'phone' || system === 'sms') && use !== 'old')
    .flatMap(({ value = '' }) => {
      const read = phones.safeParse(value);
      return read.success ? [read.data] : [];
    });
  const mail = telecom.find(({ system, use }) => system === 'email' && use !== 'old')?.value ?? '';
  const email = PatientDetails.shape.email.safeParse(mail);
  const born = PatientDraft.shape.birthDate.safeParse(birthDate ?? null);
  const number = PatientDetails.shape.clinicNumber.safeParse(
    identifier.find(({ value }) => value !== undefined && value !== '')?.value ?? '',
  );
  return {
    id,
    name: nameOf(resource).slice(0, 200),
    birthDate: born.success ? (born.data ?? null) : null,
    sex: gender === 'female' || gender === 'male' ? gender : null,
    phones: [...new Set(taken)].slice(0, 4),
    email: email.success ? email.data : '',
    clinicNumber: number.success ? number.data : '',
    from: resource.managingOrganization?.display?.slice(0, 200) ?? '',
  };
}
