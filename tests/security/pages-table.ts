import { type Identity, LEAD, MEMBERS, PRACTITIONERS, world } from './world';

/** Who may see the patient's name on it; 'free' shows nobody's. */
export const PAGES: Readonly<Record<string, { path: () => string; may: readonly Identity[] }>> = {
  '(clinic)': { path: () => '/', may: MEMBERS },
  '(clinic)/clinic': { path: () => '/clinic', may: LEAD },
  '(clinic)/patients/import': { path: () => '/patients/import', may: PRACTITIONERS },
  '(clinic)/patients/new': { path: () => '/patients/new', may: PRACTITIONERS },
  '(clinic)/patients/[id]': { path: () => `/patients/${world.patientId}`, may: MEMBERS },
  '(clinic)/patients/[id]/plan': { path: () => `/patients/${world.patientId}/plan`, may: MEMBERS },
  '(clinic)/exercises': { path: () => '/exercises', may: MEMBERS },
  '(clinic)/exercises/new': { path: () => '/exercises/new', may: PRACTITIONERS },
  '(clinic)/exercises/prescribe': {
    path: () => '/exercises/prescribe?exercise=tuck-seated',
    may: PRACTITIONERS,
  },
  '(clinic)/exercises/[id]': {
    path: () => `/exercises/${world.exerciseId}`,
    may: PRACTITIONERS,
  },
  '(clinic)/patients/[id]/review': {
    path: () => `/patients/${world.patientId}/review`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/review/[letterId]': {
    path: () => `/patients/${world.patientId}/review/${world.letterId}`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/stairs': {
    path: () => `/patients/${world.patientId}/stairs`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/screen': {
    path: () => `/patients/${world.patientId}/screen`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/letter/[letterId]': {
    path: () => `/patients/${world.patientId}/letter/${world.referralId}`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/measure': {
    path: () => `/patients/${world.patientId}/measure`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/measure/photos': {
    path: () => `/patients/${world.patientId}/measure/photos`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/measure/photos/[photoId]': {
    path: () => `/patients/${world.patientId}/measure/photos/${world.photoId}`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/measure/photos/[photoId]/mark': {
    path: () => `/patients/${world.patientId}/measure/photos/${world.photoId}/mark`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/measure/photos/compare': {
    path: () =>
      `/patients/${world.patientId}/measure/photos/compare?earlier=${world.photoId}&later=${world.photoId}`,
    may: MEMBERS,
  },
  '(patient)/today/health': { path: () => '/today/health', may: [] },
  '(clinic)/patients/[id]/teach': {
    path: () => `/patients/${world.patientId}/teach`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/papers': {
    path: () => `/patients/${world.patientId}/papers`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/told': { path: () => `/patients/${world.patientId}/told`, may: MEMBERS },
  '(clinic)/patients/[id]/note': { path: () => `/patients/${world.patientId}/note`, may: MEMBERS },
  '(clinic)/patients/[id]/handout': {
    path: () => `/patients/${world.patientId}/handout`,
    may: MEMBERS,
  },
  '(clinic)/clinic/audit': {
    path: () => '/clinic/audit',
    may: [...LEAD, 'other clinic’s lead'],
  },
  '(clinic)/clinic/keeping': {
    path: () => '/clinic/keeping',
    may: [...LEAD, 'other clinic’s lead'],
  },
  '(clinic)/closed': { path: () => '/closed', may: [...MEMBERS, 'other clinic’s lead'] },
  '(clinic)/account/second-factor': {
    path: () => '/account/second-factor',
    may: [...MEMBERS, 'other clinic’s lead'],
  },
  '(clinic)/patients/[id]/record': {
    path: () => `/patients/${world.patientId}/record`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/erase': {
    path: () => `/patients/${world.patientId}/erase`,
    may: MEMBERS,
  },
  '(clinic)/patients/[id]/looks': {
    path: () => `/patients/${world.patientId}/looks`,
    may: MEMBERS,
  },
  '(clinic)/clinic/outbox': { path: () => '/clinic/outbox', may: MEMBERS },
  '(clinic)/evidence': { path: () => '/evidence', may: PRACTITIONERS },
  '(clinic)/exercises/pictures': { path: () => '/exercises/pictures', may: MEMBERS },
  '(clinic)/exercises/programmes': { path: () => '/exercises/programmes', may: MEMBERS },
  '(clinic)/exercises/about/[id]': { path: () => '/exercises/about/tuck-seated', may: MEMBERS },
  '(clinic)/patients/[id]/follow': {
    path: () => `/patients/${world.patientId}/follow`,
    may: MEMBERS,
  },
  '(clinic)/account': { path: () => '/account', may: [...MEMBERS, 'other clinic’s lead'] },
  '(door)/reset': { path: () => '/reset', may: [] },
  '(door)/stop-mail': { path: () => '/stop-mail?t=none', may: [] },
  '(door)/sign-in': { path: () => '/sign-in', may: [] },
  '(door)/first-run': { path: () => '/first-run', may: [] },
  '(patient)/open': { path: () => '/open', may: [] },
  '(patient)/tell': { path: () => '/tell', may: [] },
  '(patient)/today/progress': { path: () => '/today/progress', may: ['patient'] },
  '(patient)/today/settings': { path: () => '/today/settings', may: ['patient'] },
  '(patient)/today/photo': { path: () => '/today/photo', may: ['patient'] },
  '(patient)/today/together': { path: () => '/today/together', may: ['patient'] },
  '(patient)/today/offline': { path: () => '/today/offline', may: ['patient'] },
  '(patient)/today/pause': { path: () => '/today/pause', may: ['patient'] },
  '(patient)/today': { path: () => '/today', may: ['patient'] },
};
