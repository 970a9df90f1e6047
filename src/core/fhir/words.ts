import type { CodeableConcept, Coding, Reference } from 'fhir/r4';
import type { Instant } from '../schedule';

/**
 * Systems of codes of our own. Codes of other vocabularies are given only where the standard itself
 * demands them (status, class, units): a wrong code is worse than plain words.
 */
export const SYSTEMS = {
  measure: 'urn:dry-lantern:measure',
  told: 'urn:dry-lantern:told',
  exercise: 'urn:dry-lantern:exercise',
  answer: 'urn:dry-lantern:answer',
  clinicNumber: 'urn:dry-lantern:clinic-number',
} as const;

/** HL7's own systems, as the standard (FHIR R4, hl7.org/fhir/R4) writes them. */
export const HL7 = {
  ucum: 'http://unitsofmeasure.org',
  condition: 'http://terminology.hl7.org/CodeSystem/condition-clinical',
  act: 'http://terminology.hl7.org/CodeSystem/v3-ActCode',
  language: 'urn:ietf:bcp:47',
} as const;

/** Words without a code. */
export function concept(text: string, ...coding: readonly Coding[]): CodeableConcept {
  return coding.length === 0 ? { text } : { coding: [...coding], text };
}

/** @example refer('Patient', 'a') // { reference: 'Patient/a' } */
export function refer(type: string, id: string, display?: string): Reference {
  return { reference: `${type}/${id}`, ...(display === undefined ? {} : { display }) };
}

/** A moment as FHIR writes it, in UTC. */
export function instantText(at: Instant | number): string {
  return new Date(at).toISOString();
}

/** The property only where the text says something: FHIR allows no empty string. */
export function unlessEmpty<Key extends string>(
  key: Key,
  text: string | null | undefined,
): Partial<Record<Key, string>> {
  const said = text?.trim();
  return said ? ({ [key]: said } as Record<Key, string>) : {};
}

/** The property only where the list has something in it. */
export function unlessNone<Key extends string, Item>(
  key: Key,
  items: readonly Item[],
): Partial<Record<Key, Item[]>> {
  return items.length > 0 ? ({ [key]: [...items] } as Record<Key, Item[]>) : {};
}

/** A text in UTF-8 and base 64, as an attachment holds it. */
export function base64(text: string): string {
  const bytes = new TextEncoder().encode(text);
  let binary = '';
  for (const byte of bytes) binary += String.fromCharCode(byte);
  return btoa(binary);
}
