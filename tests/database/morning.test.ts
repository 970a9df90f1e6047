import { eventOf } from '../support/record';
import { randomUUID } from 'node:crypto';
import { type MorningEvent, morningRow, rowHoldsUntil, withEvent } from '@/core/morning';
import { sentVersion } from '@/core/programme';
import { daysDone, versionsOf } from '@/db';
import { morningContext, morningFactsOf } from '@/server/follow/triage';
import { markTriage } from '@/server/follow/marks';
import { acknowledge } from '@/server/people';
import { morningList } from '@/server/morning-list';
import type { LocalDate } from '@/core/units';
import { saveEntry } from '@/server/visit/entries';
import { setPaused } from '@/server/save-programme';
import { takeIn } from '@/server/take-in';
import { saveScreening } from '@/server/visit/screening';
import { device, makePatient, prescribe, screened, today } from '../support/clinic';
import { databaseStage, patientOf, screening } from '../support/stage';

/** What the morning list knows of a patient, brought up to date by one event, is what is read anew. */
const stage = databaseStage('morning');

async function factsOf(patientId: string) {
  const [one] = await morningFactsOf(stage.practitioner.clinicId, [
    await patientOf(stage, patientId),
  ]);
  if (!one) throw new Error('no facts');
  return one.facts;
}

/** What rules and rows read of the facts: records beside them carry rows of the database. */
async function rowsOf(facts: Awaited<ReturnType<typeof factsOf>>) {
  const context = await morningContext(stage.practitioner.clinicId);
  const { record } = facts;
  return {
    row: morningRow(facts, context),
    until: rowHoldsUntil(facts, context),
    reports: [...record.reports],
    done: [...record.facts.done],
    pauses: record.facts.pauses,
    versions: record.facts.versions.map(({ number }) => number),
    precautions: record.precautions,
    mark: facts.mark && { ...facts.mark, ...{ createdAt: 0 } },
  };
}

/** Carries something out, and compares the facts after its event with the facts read anew. */
async function comesTo(
  patientId: string,
  deed: () => Promise<unknown>,
  eventsAfter: () => Promise<MorningEvent[]>,
) {
  const before = await factsOf(patientId);
  await deed();
  const after = (await eventsAfter()).reduce(withEvent, before);
  const anew = await factsOf(patientId);
  const [told, read] = [await rowsOf(after), await rowsOf(anew)];
  expect({ ...told, mark: told.mark?.kind }).toEqual({ ...read, mark: read.mark?.kind });
  return anew;
}

it('after a version, a session with a stop, a screening, a pause and a mark', async () => {
  const { practitioner } = stage;
  const { clinicId } = practitioner;
  const id = await makePatient(practitioner);
  await comesTo(
    id,
    () => screened(practitioner, id),
    () => Promise.resolve([{ type: 'screened', on: today(), precautions: [] }]),
  );
  await comesTo(
    id,
    () => prescribe(practitioner, id, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]),
    async () => {
      const version = (await versionsOf(clinicId, [id])).get(id)?.at(-1);
      if (!version) throw new Error('no version');
      return [{ type: 'version sent', version: sentVersion(version) }];
    },
  );
  const here = await device(practitioner, id);
  const body = { type: 'stopped', because: 'symptom' } as const;
  const anew = await comesTo(
    id,
    () =>
      takeIn(here, {
        sentAt: Date.now(),
        events: [eventOf(body)],
      }),
    async () => {
      const [day] = await daysDone(clinicId, [id], today(), today());
      const { alerts, record } = await factsOf(id);
      const [alert] = alerts;
      const [pause] = record.facts.pauses;
      if (!day || !alert || !pause) throw new Error('nothing was stored');
      const { localDate: date, done, pain, report } = day;
      return [
        { type: 'day folded', date, done, pain, report },
        { type: 'alert raised', alert },
        { type: 'paused', pause },
      ];
    },
  );
  const [alert] = anew.alerts;
  if (!alert) throw new Error('no alert');
  await comesTo(
    id,
    () => acknowledge(practitioner, alert.id),
    async () => [{ type: 'alert taken', id: alert.id }],
  );
  await comesTo(
    id,
    () => setPaused(practitioner, id, false),
    async () => [{ type: 'resumed', lastDay: today(-1) }],
  );
  await comesTo(
    id,
    () => saveScreening(practitioner, screening(id, ['latex'])),
    async () => [{ type: 'screened', on: today(), precautions: ['latex'] }],
  );
  const { rule } = morningRow(await factsOf(id), await morningContext(clinicId));
  const mark = {
    kind: 'snoozed',
    rule: rule ?? '',
    until: today(2),
    reason: 'calls back',
  } as const;
  await comesTo(
    id,
    () =>
      markTriage(practitioner, {
        id: randomUUID(),
        patientId: id,
        kind: 'snoozed',
        rule: mark.rule,
        days: 2,
        reason: mark.reason,
      }),
    async () => [{ type: 'put aside', mark }],
  );
});

it('says of a row who called today and what came of it, and nothing of a call of before', async () => {
  const { practitioner } = stage;
  const id = await makePatient(practitioner, 'Ruan Halyard');
  const contact = (on: LocalDate, reached: boolean, agreed: string) =>
    saveEntry(practitioner, {
      id: randomUUID(),
      patientId: id,
      kind: 'contact',
      supersedes: null,
      on,
      body: { way: 'call', reached, agreed },
    });
  const rowNow = async () => {
    const asked = { search: 'Ruan', practitionerId: null, group: null, page: 1 } as const;
    const { groups } = await morningList(practitioner, asked);
    return groups.flatMap(({ rows }) => rows).find(({ patientId }) => patientId === id);
  };
  await contact(today(-1), true, 'of yesterday');
  expect((await rowNow())?.contact).toBeNull();
  await contact(today(), false, '');
  expect((await rowNow())?.contact).toMatchObject({ reached: false });
  await contact(today(), true, 'Half the holds');
  expect((await rowNow())?.contact).toMatchObject({
    by: practitioner.name,
    agreed: 'Half the holds',
    reached: true,
  });
});
