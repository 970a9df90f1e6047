import type { Bundle, CapabilityStatement, FhirResource, OperationOutcome } from 'fhir/r4';
import type { Instant } from '../schedule';
import { instantText } from './words';

/** What can be read, and by which questions. */
export const READABLE = {
  Patient: ['_id', 'name', 'identifier', 'birthdate'],
  CarePlan: ['patient', 'date'],
  Observation: ['patient', 'date'],
  Procedure: ['patient', 'date'],
} as const;
export type Readable = keyof typeof READABLE;
export const READABLE_NAMES = Object.keys(READABLE) as Readable[];

/** The others are searched for by whose they are. */
const READ_BY_ID: readonly Readable[] = ['Patient', 'CarePlan'];

const TYPES = {
  _id: 'token',
  name: 'string',
  identifier: 'token',
  birthdate: 'date',
  patient: 'reference',
  date: 'date',
} as const;

/** What the clinic's installation answers, as FHIR R4 says it. */
export function capabilityStatement(base: string, at: Instant): CapabilityStatement {
  return {
    resourceType: 'CapabilityStatement',
    status: 'active',
    date: instantText(at),
    kind: 'instance',
    implementation: { description: 'Dry Lantern, for reading only', url: base },
    fhirVersion: '4.0.1',
    format: ['application/fhir+json'],
    rest: [
      {
        mode: 'server',
        security: {
          description:
            'A bearer key that the clinic’s lead makes. What is known of a person is asked by POST, so that it stands in no address.',
        },
        resource: READABLE_NAMES.map((type) => ({
          type,
          interaction: [
            ...(READ_BY_ID.includes(type) ? [{ code: 'read' as const }] : []),
            { code: 'search-type' as const },
          ],
          searchParam: READABLE[type].map((name) => ({ name, type: TYPES[name] })),
        })),
      },
    ],
  };
}

/** A page of what was found. */
export function searchset(
  resources: readonly FhirResource[],
  { base, self, next }: { base: string; self: string; next: string | null },
): Bundle {
  return {
    resourceType: 'Bundle',
    type: 'searchset',
    link: [
      { relation: 'self', url: self },
      ...(next === null ? [] : [{ relation: 'next', url: next }]),
    ],
    ...(resources.length > 0
      ? {
          entry: resources.map((resource) => ({
            fullUrl: `${base}/${resource.resourceType}/${resource.id}`,
            resource,
            search: { mode: 'match' as const },
          })),
        }
      : {}),
  };
}

/** Why something was not answered, in a sentence. */
export function outcome(
  code: OperationOutcome['issue'][number]['code'],
  say: string,
): OperationOutcome {
  return {
    resourceType: 'OperationOutcome',
    issue: [{ severity: 'error', code, diagnostics: say }],
  };
}
