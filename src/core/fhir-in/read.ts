import { type ForeignMeasure, type LeftOut, calledThere, measureThere } from './measured';
import { type ForeignPatient, patientThere } from './person';
import { Holder, ObservationResource, PatientResource } from './resources';

/** Measurements of one file; more are no record of one complaint. */
export const MOST_FOREIGN = 500;

/** One patient of another system with the measurements that are known here. */
export type ForeignRecord = {
  readonly patient: ForeignPatient;
  readonly measures: readonly ForeignMeasure[];
  readonly left: readonly LeftOut[];
  /** Resources of other kinds, by kind, which are passed over. */
  readonly others: Readonly<Record<string, number>>;
};

export type ReadForeign =
  | { readonly ok: true; readonly record: ForeignRecord }
  | { readonly ok: false; readonly say: string };

const refusal = (say: string): ReadForeign => ({ ok: false, say });

/**
 * Reads a patient and their observations as another system writes them (HL7 FHIR R4 as JSON: a bundle, or
 * a patient alone). Nothing is guessed: what is not known here is named and left out.
 */
export function readForeign(text: string): ReadForeign {
  let raw: unknown;
  try {
    raw = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return refusal('This is no JSON. Take FHIR R4 as JSON out of the other system.');
  }
  const held = Holder.safeParse(raw);
  if (!held.success) return refusal('This is not a resource or a bundle of HL7 FHIR R4.');
  const { resourceType, entry = [] } = held.data;
  const entries = resourceType === 'Bundle' ? entry : [{ resource: raw }];
  const patients: PatientResource[] = [];
  const observations: ObservationResource[] = [];
  const left: LeftOut[] = [];
  const others: Record<string, number> = {};
  /** What a reference to the patient may be. */
  const names: string[] = [];
  for (const { resource, fullUrl } of entries) {
    const type = Holder.safeParse(resource).data?.resourceType ?? 'unknown';
    if (type === 'Patient') {
      const read = PatientResource.safeParse(resource);
      if (!read.success) return refusal('The patient in this file cannot be read.');
      patients.push(read.data);
      if (fullUrl !== undefined) names.push(fullUrl);
      if (read.data.id !== undefined) names.push(`Patient/${read.data.id}`);
    } else if (type === 'Observation') {
      const read = ObservationResource.safeParse(resource);
      if (read.success) observations.push(read.data);
      else left.push({ what: 'an observation', why: 'it cannot be read' });
    } else others[type] = (others[type] ?? 0) + 1;
  }
  const [patient, ...more] = patients;
  if (!patient) return refusal('There is no patient in this file.');
  if (more.length > 0)
    return refusal(`There are ${patients.length} patients in this file. Take out one at a time.`);
  if (observations.length > MOST_FOREIGN)
    return refusal(
      `There are ${observations.length} observations in this file, and at most ${MOST_FOREIGN} are taken at once. Take out a shorter time.`,
    );
  const person = patientThere(patient);
  if (person.name === '') return refusal('The patient in this file has no name.');
  const measures: ForeignMeasure[] = [];
  for (const one of observations) {
    const whose = one.subject?.reference;
    const isTheirs = names.some((name) => whose === name || whose?.endsWith(`/${name}`));
    const read = isTheirs
      ? measureThere(one)
      : {
          what: calledThere(one),
          why: whose ? 'it is of somebody else' : 'it does not say of whom it is',
        };
    if ('why' in read) left.push(read);
    else measures.push(read);
  }
  return { ok: true, record: { patient: person, measures, left, others } };
}
