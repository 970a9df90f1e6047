/** The cautions the product always shows. They defer to licensed practice and local rules. */
export const CLINIC_CAUTION =
  'Dry Lantern supports a licensed clinician and does not replace one. Local law and scope of practice decide who may prescribe. It is no emergency service.';

/** Stands under every screening, for clinicians. */
export const SCREENING_CAUTION =
  'These rules support, and do not replace, licensed judgement. They name what tripped them and make no diagnosis. Local rules and pathways come first. This is not an emergency service.';
