import type { ClinicId, EpisodeId, MemberId, PatientId } from './ids';

// What is checked here is checked by the compiler: an error that does not come is an error of `types`.
describe('ids', () => {
  const clinic: ClinicId = 'a';
  const patient: PatientId = 'b';
  const reads = (clinicId: ClinicId, patientId: PatientId) => `${clinicId} ${patientId}`;

  it('are taken as text, and not for one another', () => {
    expect(reads(clinic, patient)).toBe('a b');
    // @ts-expect-error the patient's where the clinic's is asked for
    expect(reads(patient, clinic)).toBe('b a');
    const member: MemberId = 'c';
    // @ts-expect-error a member is no patient
    expect(reads(clinic, member)).toBe('a c');
    const episode: EpisodeId = 'd';
    // @ts-expect-error an episode is no patient
    expect(reads(clinic, episode)).toBe('a d');
  });
});
