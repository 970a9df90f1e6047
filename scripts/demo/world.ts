import type { OpenTime, OpeningHours } from '@/core/opening-hours';
import type { WallMinute, Zone } from '@/core/schedule';

/** The demo's made-up tidal island: its clinic, its people, and each patient's story. */

export const CLINIC = {
  name: 'Ebbholm Harbour Clinic',
  phone: '+000 555 0142',
  emergencyText: 'Ring the harbour bell or call the island emergency number, 000.',
  emergencyNumber: '000',
  afterHoursPhone: '+000 555 0100',
  readsReports: 'Pia, on working days at 8 and at 13; a stop is read at once while we are open.',
  zone: 'Europe/Lisbon' as Zone,
} as const;

const open = (from: number, to: number): OpenTime => ({
  from: (from * 60) as WallMinute,
  to: (to * 60) as WallMinute,
});
const workday = [open(8, 12), open(13, 18)];

/** When the clinic's telephone is answered. */
export const OPENING_HOURS: OpeningHours = {
  mon: workday,
  tue: workday,
  wed: workday,
  thu: workday,
  fri: [open(8, 14)],
};

/** The password of every demo sign-in; it exists in demo data only. */
export const DEMO_PASSWORD = 'low tide at seven';

export const MEMBERS = [
  { name: 'Maren Tollivar', email: 'maren@ebbholm.example', role: 'lead' },
  { name: 'Osk Greavewood', email: 'osk@ebbholm.example', role: 'practitioner' },
  { name: 'Pia Landroy', email: 'pia@ebbholm.example', role: 'assistant' },
] as const;

/** How long the stories go back. */
export const DAYS = 70;
