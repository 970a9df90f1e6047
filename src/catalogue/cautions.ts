/** The cautions the product always shows. They defer to licensed practice and local rules. */
export const CLINIC_CAUTION =
  'Dry Lantern supports a licensed clinician and does not replace one. Local law and scope of practice decide who may prescribe. It is no emergency service.';

/** What every patient is told before the first session and on every handout. */
export const STOP_SIGNS: readonly string[] = [
  'a headache, dizziness, numbness, tingling, or sharp or shooting pain that is new, worse, spreading further or not settling',
  'any change in your sight',
  'new weakness in an arm or leg',
  'anything severe',
];

export const NORMAL_SIGNS =
  'A stretch at the base of the skull, deep muscle work, a shake and mild soreness next day are normal.';
