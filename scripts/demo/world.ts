import type { Zone } from '@/core/schedule';

/** The demo's made-up tidal island: its clinic, its people, and each patient's story. */

export const CLINIC = {
  name: 'Ebbholm Harbour Clinic',
  phone: '+000 555 0142',
  emergencyText: 'Ring the harbour bell or call the island emergency number, 000.',
  zone: 'Europe/Lisbon' as Zone,
} as const;

/** The password of every demo sign-in; it exists in demo data only. */
export const DEMO_PASSWORD = 'low tide at seven';

export const MEMBERS = [
  { name: 'Maren Tollivar', email: 'maren@ebbholm.example', role: 'lead' },
  { name: 'Osk Greavewood', email: 'osk@ebbholm.example', role: 'practitioner' },
  { name: 'Pia Landroy', email: 'pia@ebbholm.example', role: 'assistant' },
] as const;

/** How long the stories go back. */
export const DAYS = 70;
