import { createClient } from '@libsql/client';
import { and, eq, sql } from 'drizzle-orm';
import { databaseUrl, versionsOf } from '@/db';
import { read } from '@/db/door';
import { rowsInText } from '@/db/rows-in-text';
import { dayDone, programmeLine, programmeVersion } from '@/db/schema';
import { unreadableIn } from '@/server/problem';
import { makePatient, prescribe } from '../support/clinic';
import { databaseStage } from '../support/stage';

/** Versions are read with their lines as one text beside each: what comes out is what stands in the rows. */
const stage = databaseStage('versions-read');

const LINES = [
  { exerciseId: 'tuck-lying', dose: '10x10s' },
  { exerciseId: 'neck-warm-up', dose: '4x2s gap 2s' },
  { exerciseId: 'blade-set', dose: '10x10s' },
];

async function prescribed(versions: number): Promise<string> {
  const patientId = await makePatient(stage.practitioner);
  for (let version = 0; version < versions; version += 1)
    await prescribe(stage.practitioner, patientId, LINES.slice(0, 3 - version), {
      basedOn: version,
      reason: 'less',
    });
  return patientId;
}

async function spoil(column: string, patientId: string, value: string) {
  const client = createClient({ url: databaseUrl() });
  await client.execute('DROP TRIGGER IF EXISTS programme_line_no_update');
  await client.execute({
    sql: `UPDATE programme_line SET ${column} = ? WHERE programme_id IN (SELECT id FROM programme WHERE patient_id = ?) AND place = 1`,
    args: [value, patientId],
  });
  client.close();
}

it('are what the rows say, versions and lines in their order', async () => {
  const { clinicId } = stage.practitioner;
  const ids = [await prescribed(3), await prescribed(1), await makePatient(stage.practitioner)];
  const found = await versionsOf(clinicId, ids);
  expect([...found.keys()].sort()).toEqual(ids.slice(0, 2).sort());
  for (const [patientId, versions] of found) {
    const rows = await read((db) =>
      db
        .select()
        .from(programmeVersion)
        .where(
          and(eq(programmeVersion.clinicId, clinicId), eq(programmeVersion.patientId, patientId)),
        )
        .orderBy(programmeVersion.number),
    );
    expect(versions.map(({ version }) => version)).toEqual(rows);
    for (const { version, lines } of versions) {
      const { programmeId, number } = version;
      const own = await read((db) =>
        db
          .select()
          .from(programmeLine)
          .where(
            and(
              eq(programmeLine.clinicId, clinicId),
              eq(programmeLine.programmeId, programmeId),
              eq(programmeLine.number, number),
            ),
          )
          .orderBy(programmeLine.place),
      );
      expect(own.length).toBeGreaterThan(0);
      expect(lines).toEqual(own);
    }
  }
  expect(found.get(ids[0] ?? '')?.map(({ lines }) => lines.length)).toEqual([3, 2, 1]);
  expect((await versionsOf('another clinic', ids)).size).toBe(0);
});

it.each(['"', '\\', 'ä “→” \u0001\n', '],[', 'null', ''])(
  'keep whatever a text holds (%j)',
  async (text) => {
    const patientId = await prescribed(1);
    await spoil('lineage', patientId, text);
    const [first] =
      (await versionsOf(stage.practitioner.clinicId, [patientId])).get(patientId) ?? [];
    expect(first?.lines[1]?.lineage).toBe(text);
  },
);

it('take a line from before its complaint was kept to be for its version’s', async () => {
  const patientId = await prescribed(1);
  const client = createClient({ url: databaseUrl() });
  await client.execute('DROP TRIGGER IF EXISTS programme_line_no_update');
  await client.execute({
    sql: 'UPDATE programme_line SET episode_id = NULL WHERE programme_id IN (SELECT id FROM programme WHERE patient_id = ?)',
    args: [patientId],
  });
  client.close();
  const [first] = (await versionsOf(stage.practitioner.clinicId, [patientId])).get(patientId) ?? [];
  expect(first?.version.episodeId).toBeTruthy();
  expect(first?.lines.map(({ episodeId }) => episodeId)).toEqual(
    first?.lines.map(() => first.version.episodeId),
  );
});

it.each([
  ['exercise', 'an exercise as it was sent'],
  ['school', 'a line’s school'],
  ['overrides', 'why a flag was gone against'],
])('name what cannot be read of a line: its %s', async (column, what) => {
  const patientId = await prescribed(1);
  await spoil(column, patientId, '{');
  const failed = await versionsOf(stage.practitioner.clinicId, [patientId]).catch(
    (error: unknown) => error,
  );
  expect(unreadableIn(failed)).toContain(what);
});

it('refuse to be told as a text where it would round a number', () => {
  expect(() => rowsInText(dayDone, sql`true`)).toThrow('pain (SQLiteReal)');
});
