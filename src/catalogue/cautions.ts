import { PATIENT_EN } from './messages/patient-en';

/** The cautions the product always shows. They defer to licensed practice and local rules. */
export const CLINIC_CAUTION =
  'Dry Lantern supports a licensed clinician and does not replace one. Local law and scope of practice decide who may prescribe. It is no emergency service.';

/** What every patient is told before the first session and on every handout. */
export const STOP_SIGNS: readonly string[] = [
  PATIENT_EN['sign.symptoms'],
  PATIENT_EN['sign.sight'],
  PATIENT_EN['sign.weakness'],
  PATIENT_EN['sign.severe'],
];

export const NORMAL_SIGNS = PATIENT_EN['sign.normal'];

/** Stands under every screening, for clinicians. */
export const SCREENING_CAUTION =
  'These rules support, and do not replace, licensed judgement. They name what tripped them and make no diagnosis. Local rules and pathways come first. This is not an emergency service.';
