import { randomUUID } from 'node:crypto';
import { addDays, weekday, WEEKDAYS } from '@/core/units';
import { evidenceRows } from '@/core/evidence';
import { LIST_BOUNDS, evidenceOf, episodesToCount, eraseStatements, write } from '@/db';
import { now, setClock } from '@/server/clock';
import { clinicEvidence, refreshEvidence } from '@/server/follow/evidence';
import { newestConsent, withdrawEntry } from '@/server/visit/entries';
import { today } from '../support/clinic';
import { DAY_MS, beginLife, liveOn } from '../support/life';
import { databaseStage, patientOf } from '../support/stage';
import { consent } from '../support/consent';

/** The clinic's own evidence: who agreed is counted, and nobody else. */
const stage = databaseStage('evidence');
const clinicId = () => stage.practitioner.clinicId;

const agree = (patientId: string, learning: boolean, daysAgo = 12) =>
  consent(stage.practitioner, patientId, { learning }, today(-daysAgo));

/** A patient who did three days of a programme a fortnight ago. */
async function lived(name: string): Promise<string> {
  const life = await beginLife(stage.practitioner, [{}], { name, daysAgo: 14 });
  await liveOn(life, [{}, { pain: 7 }, {}]);
  return life.patientId;
}

const SUNDAY = () => addDays(today(), -1 - WEEKDAYS.indexOf(weekday(today())));
const episodes = async () => {
  const { told } = await clinicEvidence(clinicId(), 'complaint');
  return told.kind === 'counted' ? told.episodes : 0;
};

it('counts who agreed, from five patients on, until they take it back', async () => {
  const ids: string[] = [];
  for (let at = 0; at < 6; at += 1) ids.push(await lived(`Patient ${at}`));
  for (const id of ids.slice(0, 4)) await agree(id, true);
  // Agreed to everything else, and never asked.
  await agree(ids[4] as string, false);
  expect(await clinicEvidence(clinicId(), 'complaint')).toEqual({
    told: { kind: 'too few' },
    until: SUNDAY(),
    isWhole: true,
  });
  await agree(ids[4] as string, true);
  const { told } = await clinicEvidence(clinicId(), 'complaint');
  expect(told).toMatchObject({ kind: 'counted', patients: 5, episodes: 5 });
  const rows = evidenceRows(told, String);
  expect(rows.find(({ what }) => what === 'share never begun')).toMatchObject({ of: '5' });
  // However few are read at a time, all are counted.
  const page = jest.replaceProperty(LIST_BOUNDS, 'evidencePage', 2 as never);
  expect(await episodes()).toBe(5);
  page.restore();
  // Written anew today for another reason, it counts as it did.
  await agree(ids[2] as string, true, 0);
  expect(await episodes()).toBe(5);
  // What was reckoned goes with the consent, at once.
  await agree(ids[0] as string, false, 0);
  const left = await evidenceOf(clinicId(), today(), null, 50);
  expect(left.map(({ patientId }) => patientId)).not.toContain(ids[0]);
  expect(await episodes()).toBe(0);
  const consent = await newestConsent(await patientOf(stage, ids[1] as string));
  await withdrawEntry(stage.practitioner, {
    id: randomUUID(),
    patientId: ids[1] as string,
    supersedes: consent?.id ?? '',
  });
  expect(await evidenceOf(clinicId(), today(), null, 50)).toHaveLength(3);
});

it('is reckoned a few episodes at a time where it is asked to stop after so long', async () => {
  const before = (await evidenceOf(clinicId(), today(), null, 50)).length;
  const most = LIST_BOUNDS.evidenceReckoned;
  for (let at = 0; at <= most; at += 1) await agree(await lived(`One of many ${at}`), true);
  const counted = async () => (await evidenceOf(clinicId(), today(), null, 50)).length - before;
  expect(await refreshEvidence(clinicId(), 0)).toBe(false);
  expect(await counted()).toBe(most);
  expect(await refreshEvidence(clinicId())).toBe(true);
  expect(await counted()).toBe(most + 1);
});

it('a consent of this week counts from next week on, so that one more cannot be told by subtracting', async () => {
  const id = await lived('Late');
  await agree(id, true, 0);
  await refreshEvidence(clinicId());
  const found = async () =>
    (await evidenceOf(clinicId(), today(), null, 50)).some(({ patientId }) => patientId === id);
  expect(await found()).toBe(false);
  setClock(() => Date.now() + 7 * DAY_MS);
  try {
    await refreshEvidence(clinicId());
    expect(await found()).toBe(true);
    // Reckoned once a week, not with every look.
    expect(await episodesToCount(clinicId(), SUNDAY(), null, 50)).toEqual([]);
  } finally {
    setClock(null);
  }
});

it('goes with an erased record', async () => {
  const id = await lived('Gone');
  await agree(id, true);
  await refreshEvidence(clinicId());
  const of = async () =>
    (await evidenceOf(clinicId(), today(), null, 50)).filter(({ patientId }) => patientId === id);
  expect(await of()).toHaveLength(1);
  const patient = await patientOf(stage, id);
  await write(() =>
    eraseStatements({
      clinicId: clinicId(),
      patientId: patient.id,
      at: now(),
      memberId: stage.lead.id,
      reason: 'asked for it',
    } as never),
  );
  expect(await of()).toEqual([]);
});
