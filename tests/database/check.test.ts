import { randomUUID } from 'node:crypto';
import { createClient } from '@libsql/client';
import sharp from 'sharp';
import { databaseUrl, versionsOf } from '@/db';
import { checkRecord } from '@/server/check/record-check';
import { takeIn } from '@/server/take-in';
import { takePhoto } from '@/server/visit/photos';
import { device, makePatient, prescribe, today } from '../support/clinic';
import { eventOf } from '../support/record';
import { databaseStage, photographable } from '../support/stage';

const stage = databaseStage('check');

async function change(sql: string, args: (string | number)[] = []): Promise<void> {
  const client = createClient({ url: databaseUrl() });
  // What nobody may do through the application, a hand with a tool can.
  for (const { name } of (
    await client.execute("SELECT name FROM sqlite_master WHERE type = 'trigger'")
  ).rows as unknown as { name: string }[])
    await client.execute(`DROP TRIGGER "${name}"`);
  await client.execute({ sql, args });
  client.close();
}

/** Rows of every table, as the database itself counts them. */
async function rowsOfAll(): Promise<number> {
  const client = createClient({ url: databaseUrl() });
  const { rows } = await client.execute(
    "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT LIKE '\\_\\_%' ESCAPE '\\'",
  );
  let count = 0;
  for (const { name } of rows as unknown as { name: string }[]) {
    const { rows: counted } = await client.execute(`SELECT count(*) AS n FROM "${name}"`);
    count += Number(counted[0]?.n);
  }
  client.close();
  return count;
}

it('says that a whole record is whole, and names what is not as it should be', async () => {
  const { practitioner } = stage;
  const id = await makePatient(practitioner);
  await prescribe(practitioner, id, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
  const here = await device(practitioner, id);
  const [version] = (await versionsOf(practitioner.clinicId, [id])).get(id) ?? [];
  const event = eventOf({ type: 'check-in', pain: 3, word: '' });
  await takeIn(here, {
    sentAt: Date.now(),
    events: [{ ...event, programmeId: version?.version.programmeId ?? '', deviceAt: Date.now() }],
  });
  const seen = await photographable(stage);
  const photo = randomUUID();
  const picture = await sharp({
    create: { width: 60, height: 40, channels: 3, background: '#777' },
  })
    .jpeg()
    .toBuffer();
  await takePhoto(
    practitioner,
    { id: photo, patientId: seen, takenOn: today(), view: 'side', facing: 'left' } as never,
    picture,
  );

  const whole = await checkRecord();
  expect(whole).toMatchObject({ patients: 2, days: 1, photos: 1, faults: [] });
  expect(whole.rows).toBe(await rowsOfAll());

  await change('UPDATE day_done SET pain = 9 WHERE patient_id = ?', [id]);
  await change("UPDATE photo_bytes SET bytes = x'00' WHERE photo_id = ?", [photo]);
  const { faults } = await checkRecord();
  expect([...faults].sort()).toEqual([
    expect.stringMatching(/^The day .* is not what its events come to\.$/),
    `The photo ${photo} of the patient ${seen} has no picture that can be shown.`,
  ]);

  await change(
    "INSERT INTO day_done (clinic_id, patient_id, local_date, done, sessions_done, events) VALUES (?, ?, '2026-01-01', '{}', 0, 3)",
    [practitioner.clinicId, id],
  );
  await change("UPDATE programme_line SET exercise = 'no record' WHERE 1");
  const more = (await checkRecord()).faults;
  expect(more).toEqual(
    expect.arrayContaining([expect.stringContaining('programme_line: Part of this record')]),
  );
  // The patient's words never stand in what a check says.
  expect(more.join()).not.toMatch(/Test Patient|no record/);
});
