import { randomUUID } from 'node:crypto';
import { RECORD_FORMAT, RECORD_TABLE_NAMES, RECORD_VERSION } from '@/db';

/** The smallest whole record there is: a patient with one complaint. */
export function smallRecord(name = 'Perrin Oakum', patientId: string = randomUUID()): Buffer {
  const author = randomUUID();
  const tables = Object.fromEntries(RECORD_TABLE_NAMES.map((table) => [table, [] as object[]]));
  return Buffer.from(
    JSON.stringify({
      format: RECORD_FORMAT,
      version: RECORD_VERSION,
      made: '2026-11-20T08:00:00.000Z',
      clinic: { name: 'Kelpstone Physiotherapy', zone: 'Europe/Lisbon' },
      members: [{ id: author, name: 'Ione Kestrel' }],
      exercises: [],
      drawings: [],
      tables: {
        ...tables,
        patient: [
          {
            id: patientId,
            name,
            zone: 'Europe/Lisbon',
            wakeMinute: 420,
            sleepMinute: 1320,
            minutesADay: null,
            practitionerId: author,
            birthDate: '1970-05-06',
            language: 'en',
            contact: '',
            createdAt: 1795000000000,
            archivedAt: null,
          },
        ],
        episode: [
          {
            id: randomUUID(),
            patientId,
            complaint: 'Net-mender; stiff neck in the mornings',
            area: 'neck',
            openedOn: '2026-11-02',
            closedOn: null,
          },
        ],
      },
    }),
  );
}
