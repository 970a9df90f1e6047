/** How a patient wants to be reached. */
export const REACHED_BY = ['phone', 'text', 'e-mail'] as const;
/** As far as reference values need it. */
export const SEXES = ['female', 'male'] as const;
export type Sex = (typeof SEXES)[number];

/** How somebody was spoken with away from the room. */
export const CONTACT_WAYS = ['call', 'message', 'video'] as const;

/** How a visit takes place. */
export const VISIT_WAYS = ['in the room', 'phone', 'video', 'message'] as const;
export type VisitWay = (typeof VISIT_WAYS)[number];

/** What may have happened beside the exercises: a change is read with it. */
export const CARE_KINDS = [
  'hands-on care',
  'injection',
  'medicine changed',
  'work changed',
  'injury',
  'other',
] as const;

/** How the clinic came to know what a patient without a phone did. */
export const TOLD_HOW = ['paper sheet', 'call'] as const;
export type ToldHow = (typeof TOLD_HOW)[number];

/** What is done about a screening that blocks. */
export const SCREENING_ACTIONS = [
  'emergency services called',
  'sent for a medical opinion',
  'examined further here',
  'opinion received',
  'other',
] as const;

/** Why a patient's record was erased. Kept as one of these, so that no words of the patient stay. */
export const ERASURE_REASONS = ['asked', 'kept long enough', 'by mistake'] as const;
export type ErasureReason = (typeof ERASURE_REASONS)[number];

/** What a paper that came in is. */
export const PAPER_KINDS = ['referral', 'imaging report', 'letter', 'scan', 'other'] as const;
export type PaperKind = (typeof PAPER_KINDS)[number];
