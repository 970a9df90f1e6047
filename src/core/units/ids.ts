/**
 * An id that says whose it is: one of another kind is refused by the compiler. Plain text is taken,
 * since ids arrive as text from addresses and requests, where a schema has checked their shape.
 *
 * @example const chosen: PatientId = clinicId; // does not compile
 */
type Id<Of extends string> = string & { readonly __idOf?: Of };

export type ClinicId = Id<'clinic'>;
export type MemberId = Id<'member'>;
export type PatientId = Id<'patient'>;
/** Who made a record: a member, or the patient of whom it is. */
export type AuthorId = MemberId | PatientId;
export type EpisodeId = Id<'episode'>;
export type VisitId = Id<'visit'>;
export type ProgrammeId = Id<'programme'>;
export type LinkId = Id<'link'>;
export type ScreeningId = Id<'screening'>;
export type ReferralId = Id<'referral'>;
export type PhotoId = Id<'photo'>;
export type ExerciseId = Id<'exercise'>;
