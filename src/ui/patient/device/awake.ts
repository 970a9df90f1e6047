import type { PatientId } from '@/core/units';

/** That this phone keeps what the clinic does not have yet, beside the store that a browser may clear. */
const UNSENT = 'dl-unsent';

/** Marks that this phone keeps a patient's session, or anything else the clinic does not have yet. */
export function markUnsent(what: 'session' | 'event', patientId: PatientId): void {
  try {
    if (what === 'session' || localStorage.getItem(UNSENT) === null)
      localStorage.setItem(UNSENT, `${what} ${patientId}`);
  } catch {
    // A window that keeps nothing has nothing to wake up for.
  }
}

/** Clears the mark: everything is at the clinic, and no session is half done. */
export function clearUnsent(): void {
  try {
    localStorage.removeItem(UNSENT);
  } catch {
    // As above.
  }
}

/** A session of this patient was marked as kept here. Where none is found, the browser has cleared it. */
export function isSessionMarked(patientId: PatientId): boolean {
  try {
    return localStorage.getItem(UNSENT) === `session ${patientId}`;
  } catch {
    return false;
  }
}
