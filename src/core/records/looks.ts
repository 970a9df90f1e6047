/** What is seen of a file, or taken out of it. */
export const LOOKS = ['file', 'handout', 'letter', 'whole record'] as const;
export type Look = (typeof LOOKS)[number];
