import sharp from 'sharp';
import { sentVersion } from '@/core/programme';
import { type LocalDate, localDate } from '@/core/units';
import {
  type Patient,
  clinicIds,
  daysDone,
  eventDays,
  eventsOfDay,
  patientsAfter,
  photoBytesOf,
  photosOf,
  setUpPhotosOf,
  readEveryRow,
  versionsOf,
} from '@/db';
import { canonical } from '../canonical';
import { brokenSeals } from '../seals';
import { foldedDay } from '../take-in';

/** What a look through a whole record found. */
export type RecordCheck = {
  readonly rows: number;
  readonly patients: number;
  readonly days: number;
  readonly photos: number;
  /** A sentence for each thing that is not as it should be; ids of the record, never its words. */
  readonly faults: readonly string[];
};

/** Patients whose records are read together. */
const PATIENTS_AT_ONCE = 100;
const FIRST_DAY = localDate('2000-01-01');
const LAST_DAY = localDate('2999-12-31');

/**
 * Looks through a whole record: every row can be read, every day's fold is what its events come to, the
 * audit's seals hold, and every photo has its picture.
 */
export async function checkRecord(): Promise<RecordCheck> {
  const faults: string[] = [];
  const rows = await readEveryRow((table, say) => faults.push(`${table}: ${say}`));
  faults.push(...(await brokenSeals()));
  let [patients, days, photos] = [0, 0, 0];
  for (const clinicId of await clinicIds()) {
    for (let after = ''; ;) {
      const some = await patientsAfter(clinicId, after, PATIENTS_AT_ONCE);
      for (const patient of some) {
        patients += 1;
        // What cannot be read was named above; a fold of it cannot be compared.
        days += await checkDays(patient, faults).catch(() => 0);
        photos += await checkPhotos(patient, faults).catch(() => 0);
      }
      const last = some.at(-1);
      if (!last || some.length < PATIENTS_AT_ONCE) break;
      after = last.id;
    }
  }
  return { rows, patients, days, photos, faults };
}

async function checkDays(patient: Patient, faults: string[]): Promise<number> {
  const { clinicId, id } = patient;
  const versions = ((await versionsOf(clinicId, [id])).get(id) ?? []).map(sentVersion);
  const stored = new Map(
    (await daysDone(clinicId, [id], FIRST_DAY, LAST_DAY)).map((row) => [row.localDate, row]),
  );
  const dates = await eventDays(clinicId, id);
  for (const { date } of dates) {
    const again = foldedDay(patient, date, await eventsOfDay(clinicId, id, date), versions);
    if (sameFacts(stored.get(date), again)) continue;
    faults.push(`${ofDay(id, date)} is not what its events come to.`);
  }
  const withEvents = new Set(dates.map(({ date }) => date));
  for (const date of stored.keys())
    if (!withEvents.has(date)) faults.push(`${ofDay(id, date)} has no events.`);
  return dates.length;
}

const ofDay = (patientId: string, date: LocalDate) => `The day ${date} of the patient ${patientId}`;

/** Whether two values say the same, whatever the order of their keys. */
function sameFacts(one: unknown, another: unknown): boolean {
  return canonical(one) === canonical(another);
}

async function checkPhotos(patient: Patient, faults: string[]): Promise<number> {
  const { clinicId, id } = patient;
  const photos = [...(await photosOf(clinicId, id)), ...(await setUpPhotosOf(clinicId, id))];
  for (const photo of photos) {
    const bytes = await photoBytesOf(clinicId, photo.id);
    const size =
      bytes &&
      (await sharp(bytes)
        .metadata()
        .catch(() => null));
    if (size?.width !== photo.width || size.height !== photo.height)
      faults.push(`The photo ${photo.id} of the patient ${id} has no picture that can be shown.`);
  }
  return photos.length;
}
