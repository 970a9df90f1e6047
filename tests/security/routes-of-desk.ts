import { randomUUID } from 'node:crypto';
import { aTemplate, ownDraft, programmeText } from '../support/clinic';
import { LEAD, PRACTITIONERS, world } from './world';

import type { RouteRule } from './route-rule';

/** Exercises, programmes and templates of no patient, and the desk. */
export const DESK_ROUTES: Readonly<Record<string, RouteRule>> = {
  exercises: {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ id: randomUUID(), exercise: ownDraft(randomUUID()) }),
  },
  'exercises/retire': { may: PRACTITIONERS, body: () => ({ id: world.exerciseId }) },
  'exercises/import': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ format: 'json', text: JSON.stringify([ownDraft(randomUUID())]) }),
  },
  'exercises/file': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    method: 'GET',
    query: () => '?format=csv&of=own',
    body: () => null,
  },
  templates: {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => aTemplate(randomUUID()),
  },
  'templates/retire': { may: PRACTITIONERS, body: () => ({ id: world.templateId }) },
  'ready-programmes/offer': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ id: 'ten-by-ten', offered: false }),
  },
  'ready-programmes/copy': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ id: randomUUID(), readyId: 'ten-by-ten' }),
  },
  'programme-files': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({
      id: randomUUID(),
      name: randomUUID(),
      text: programmeText(ownDraft(randomUUID())),
    }),
  },
  'programme-files/preview': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ text: programmeText(ownDraft(randomUUID())) }),
  },
  'programme-files/file': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    method: 'GET',
    query: () => '?of=ready&id=ten-by-ten',
    body: () => null,
  },
  'patients/find': {
    may: PRACTITIONERS,
    ownClinicOnly: true,
    body: () => ({ name: 'a', exerciseId: 'tuck-lying' }),
  },
  drafts: {
    may: PRACTITIONERS,
    body: () => ({ patientId: world.patientId, basedOn: 1, desk: '{}' }),
  },
  'clinic/bands': { may: LEAD, ownClinicOnly: true, body: () => ({ bands: [] }) },
};
