/** Why a message never left: for the clinic, beside it in the outbox. */
export const NOT_SENT = [
  'not delivered',
  'refused for good',
  /** It left, and its report came back. */
  'came back',
  /** An earlier one to the same address did. */
  'address sends back',
  'stopped by the patient',
  'bound of the day',
  'no phone takes it',
] as const;
export type NotSent = (typeof NOT_SENT)[number];
