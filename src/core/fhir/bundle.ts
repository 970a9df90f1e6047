import type { Bundle, FhirResource } from 'fhir/r4';
import type { Instant } from '../schedule';
import type { WholeRecord } from '../whole-record';
import { documents } from './documents';
import { measuredObservations, toldObservations } from './observations';
import {
  condition,
  encounters,
  episodeOfCare,
  organization,
  patientResource,
  practitioner,
} from './people';
import { type SayDose, activityDefinitions, carePlan, serviceRequests } from './plan';
import { indexResponse, screeningResponse } from './screening';
import { procedures } from './sessions';
import { instantText } from './words';

/** Every resource of a record. */
export function resourcesOf(record: WholeRecord, say: SayDose): FhirResource[] {
  return [
    organization(record),
    ...record.members.map(practitioner),
    patientResource(record),
    ...record.episodes.flatMap((episode) => [
      condition(record, episode),
      episodeOfCare(record, episode),
    ]),
    ...encounters(record),
    ...record.screenings.map((row) => screeningResponse(record, row)),
    ...measuredObservations(record),
    ...record.measurements
      .map((row) => indexResponse(record, row))
      .filter((response) => response !== null),
    ...record.versions.flatMap((version) => [
      carePlan(record, version),
      ...serviceRequests(record, version, say),
      ...activityDefinitions(record, version),
    ]),
    ...procedures(record),
    ...toldObservations(record),
    ...documents(record),
  ];
}

/**
 * A record as one FHIR R4 bundle (hl7.org/fhir/R4). Entries stand below the address of the clinic's own
 * installation, so that every reference in it finds its entry.
 *
 * @param base such as https://clinic.example/api/fhir
 */
export function bundleOf(
  record: WholeRecord,
  { base, at, say }: { base: string; at: Instant; say: SayDose },
): Bundle {
  return {
    resourceType: 'Bundle',
    type: 'collection',
    timestamp: instantText(at),
    entry: resourcesOf(record, say).map((resource) => ({
      fullUrl: `${base}/${resource.resourceType}/${resource.id}`,
      resource,
    })),
  };
}
