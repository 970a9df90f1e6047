import { randomUUID } from 'node:crypto';
import type { ShareDraft } from '@/core/records';
import type { Instant } from '@/core/schedule';
import { SHARE_BEAT_MS, SHARE_OVER_MS, SHARE_SILENT_MS, type ShareMessage } from '@/core/share';
import { shareOf } from '@/db/shares';
import { read } from '@/db/door';
import { auditEvent } from '@/db/schema';
import { setClock } from '@/server/clock';
import { setPaused } from '@/server/save-programme';
import { takeIn } from '@/server/take-in';
import { leftShowing, show } from '@/server/share/showing';
import { messageOf } from '@/server/share/looking-on';
import { shareStream, streamsHaveRoom } from '@/server/share/stream';
import { saveScreening } from '@/server/visit/screening';
import { device, makeClinic, makePatient, member, ownDomain, prescribe } from '../support/clinic';
import { eventOf } from '../support/record';
import { databaseStage, patientOf, screening } from '../support/stage';

/** A visit by phone: what the desk shows, the patient's phone is told as it changes. */
const stage = databaseStage('share');
const START = Date.parse('2026-11-30T09:00:00Z');
let clock = START;
beforeEach(() => {
  clock += 3_600_000;
  setClock(() => clock);
});

async function programmed() {
  const patientId = await makePatient(stage.practitioner, 'Wren Tarbuck');
  await prescribe(stage.practitioner, patientId, [
    { exerciseId: 'tuck-lying', dose: '10x10s gap 5s' },
  ]);
  const { versionsOf } = await import('@/db');
  const versions = await versionsOf(stage.practitioner.clinicId, [patientId]);
  const lineage = versions.get(patientId)?.[0]?.lines[0]?.lineage ?? '';
  const draft = (turn: number, change: Partial<ShareDraft> = {}): ShareDraft => ({
    id: 'one',
    patientId,
    turn,
    does: 'show',
    shown: { lineage, count: { index: turn, elapsed: 0, running: true, at: clock } },
    ...change,
  });
  return { patientId, lineage, draft };
}

/** What a phone hears, word by word. */
async function phoneOf(patientId: string) {
  const here = await device(stage.practitioner, patientId);
  const reader = shareStream(here).getReader();
  let text = '';
  return {
    here,
    /** The next word, passing over the beats; null when the stream has ended. */
    async hears(): Promise<ShareMessage | null> {
      for (;;) {
        const found = /^data: (\{"kind".*)\n\n/m.exec(text);
        if (found?.[1] !== undefined) {
          text = text.slice(found.index + found[0].length);
          return JSON.parse(found[1]) as ShareMessage;
        }
        const { done, value } = await reader.read();
        if (done) return null;
        text += new TextDecoder().decode(value);
      }
    },
    leaves: () => reader.cancel(),
  };
}

it('tells a phone what is shown as it changes, and that it was ended', async () => {
  const { patientId, lineage, draft } = await programmed();
  const phone = await phoneOf(patientId);
  expect(await phone.hears()).toEqual({ kind: 'nothing' });
  await show(stage.practitioner, draft(1));
  const shown = await phone.hears();
  expect(shown).toMatchObject({
    kind: 'shown',
    silent: false,
    line: { lineage },
    count: { index: 1 },
  });
  // Without an exercise between two.
  await show(stage.practitioner, draft(2, { shown: null }));
  expect(await phone.hears()).toEqual({ kind: 'between' });
  await show(stage.practitioner, draft(4));
  expect(await phone.hears()).toMatchObject({ kind: 'shown', count: { index: 4 } });
  // A word that was overtaken on its way changes nothing: the next that is heard is the end.
  await show(stage.practitioner, draft(3));
  expect(await show(stage.practitioner, draft(5, { does: 'end', shown: null }))).toEqual({
    standing: 'over',
    phone: false,
  });
  expect(await phone.hears()).toEqual({ kind: 'ended' });
  // Nor does one that comes after the end.
  expect(await show(stage.practitioner, draft(6))).toEqual({ standing: 'over', phone: false });
  await phone.leaves();
  // Who comes now has missed nothing that goes on.
  const late = await phoneOf(patientId);
  expect(await late.hears()).toEqual({ kind: 'nothing' });
  await late.leaves();
  const verbs = await read((db) => db.select({ verb: auditEvent.verb }).from(auditEvent));
  expect(verbs.filter(({ verb }) => /show/.test(verb))).toEqual([
    { verb: 'began to show exercises to' },
    { verb: 'ended showing exercises to' },
  ]);
});

it('knows whether a phone looks on, and tells it when the desk falls silent', async () => {
  const { patientId, draft } = await programmed();
  expect(await show(stage.practitioner, draft(1))).toEqual({ standing: 'running', phone: false });
  const phone = await phoneOf(patientId);
  expect(await phone.hears()).toMatchObject({ kind: 'shown', silent: false });
  expect(await show(stage.practitioner, draft(2))).toEqual({ standing: 'running', phone: true });
  expect(await phone.hears()).toMatchObject({ count: { index: 2 } });
  clock += SHARE_SILENT_MS;
  expect(await phone.hears()).toMatchObject({ kind: 'shown', silent: true });
  expect(await leftShowing(stage.practitioner, patientId)).toEqual({ id: 'one', turn: 2 });
  expect(await leftShowing(stage.lead, patientId)).toBeNull();
  // The desk is back.
  await show(stage.practitioner, draft(3));
  expect(await phone.hears()).toMatchObject({ silent: false, count: { index: 3 } });
  clock += SHARE_OVER_MS;
  expect(await phone.hears()).toEqual({ kind: 'ended' });
  expect(await leftShowing(stage.practitioner, patientId)).toBeNull();
  await phone.leaves();
});

it('ends with the patient’s link', async () => {
  const { patientId, draft } = await programmed();
  await show(stage.practitioner, draft(1));
  const phone = await phoneOf(patientId);
  expect(await phone.hears()).toMatchObject({ kind: 'shown' });
  // A new link ends the devices of the one before.
  await device(stage.practitioner, patientId);
  clock += 6_000;
  expect(await phone.hears()).toBeNull();
});

it('lets the oldest of a device’s streams go for a new one', async () => {
  const { patientId, draft } = await programmed();
  await show(stage.practitioner, draft(1));
  const here = await device(stage.practitioner, patientId);
  const readers = [1, 2, 3].map(() => shareStream(here).getReader());
  let isOver = false;
  while (!isOver) isOver = (await readers[0]?.read())?.done ?? true;
  expect((await readers[2]?.read())?.done).toBe(false);
  for (const one of readers) await one.cancel();
});

it('says nothing twice while nothing changes, ends after a quarter of an hour, and leaves nothing behind', async () => {
  const { patientId } = await programmed();
  const here = await device(stage.practitioner, patientId);
  const reader = shareStream(here).getReader();
  let text = '';
  const beats = () => text.match(/^event: beat$/gm)?.length ?? 0;
  for (let heard = 1; heard <= 3; heard += 1) {
    while (beats() < heard) text += new TextDecoder().decode((await reader.read()).value);
    clock += SHARE_BEAT_MS;
  }
  expect(text.match(/^data: \{"kind"/gm)).toHaveLength(1);
  const open = (globalThis as unknown as Record<symbol, Map<string, unknown>>)[
    Symbol.for('dry-lantern.streams')
  ];
  expect(open?.has(here.tokenHash)).toBe(true);
  clock += 15 * 60_000;
  let isOver = false;
  while (!isOver) isOver = (await reader.read()).done;
  expect(open?.has(here.tokenHash)).toBe(false);
});

it('shows nothing once a new version has not got the exercise any more', async () => {
  const { patientId, draft } = await programmed();
  await show(stage.practitioner, draft(1));
  const row = await shareOf(stage.practitioner.clinicId, patientId);
  const patient = await patientOf(stage, patientId);
  expect((await messageOf(patient, row)).kind).toBe('shown');
  await prescribe(
    stage.practitioner,
    patientId,
    [{ exerciseId: 'tuck-seated', dose: 'x5 hold 2s gap 2s' }],
    { basedOn: 1 },
  );
  expect(await messageOf(patient, row)).toEqual({ kind: 'between' });
});

it('has room for three hundred phones', () => {
  const streams = (globalThis as unknown as Record<symbol, Map<string, (() => void)[]>>)[
    Symbol.for('dry-lantern.streams')
  ];
  const open = [...(streams?.values() ?? [])].flat().length;
  const more = (count: number) =>
    streams?.set(
      'others',
      Array.from({ length: count }, () => () => undefined),
    );
  more(299 - open);
  expect(streamsHaveRoom()).toBe(true);
  more(300 - open);
  expect(streamsHaveRoom()).toBe(false);
  streams?.delete('others');
});

it('is refused while somebody else shows this patient something, and of what is not prescribed', async () => {
  const { draft, patientId } = await programmed();
  await show(stage.practitioner, draft(1));
  await expect(show(stage.lead, draft(1, { id: 'other' }))).rejects.toMatchObject({
    status: 409,
    say: expect.stringContaining(stage.practitioner.name) as string,
  });
  // A desk that fell silent is in nobody's way.
  clock += SHARE_SILENT_MS;
  await show(stage.lead, draft(1, { id: 'other' }));
  await expect(show(stage.practitioner, draft(2))).rejects.toMatchObject({ status: 409 });
  const count = { index: 0, elapsed: 0, running: true, at: clock as Instant };
  await expect(
    show(stage.lead, draft(2, { id: 'other', shown: { lineage: randomUUID(), count } })),
  ).rejects.toMatchObject({ status: 409 });
  await expect(show(stage.assistant, draft(1, { id: 'third' }))).rejects.toThrow();
  const { emails } = await makeClinic('hill', ownDomain());
  const stranger = await member(emails.practitioner);
  await expect(show(stranger, draft(1))).rejects.toMatchObject({ status: 404 });
  // Ending what is not one's own to end leaves it as it is.
  await show(stage.practitioner, draft(9, { does: 'end', shown: null }));
  expect(await leftShowing(stage.lead, patientId)).toEqual({ id: 'other', turn: 1 });
});

it('is refused after a sign to stop, and ends what goes on', async () => {
  const { patientId, draft } = await programmed();
  const here = await device(stage.practitioner, patientId);
  await show(stage.practitioner, draft(1));
  const reader = shareStream(here).getReader();
  await takeIn(here, {
    sentAt: clock,
    events: [
      {
        ...eventOf({
          type: 'report',
          lineage: null,
          report: { complaint: 'dizzy', severity: 5, compared: 'new', furthest: null },
          advice: 'stop and call',
        }),
        deviceAt: clock,
      },
    ],
  });
  await expect(show(stage.practitioner, draft(2))).rejects.toMatchObject({
    status: 409,
    say: expect.stringContaining('something felt wrong') as string,
  });
  let text = '';
  while (!text.includes('"kind":"ended"'))
    text += new TextDecoder().decode((await reader.read()).value);
  await reader.cancel();
  await expect(show(stage.practitioner, draft(1, { id: 'again' }))).rejects.toMatchObject({
    status: 409,
  });
});

it('is refused after a sign to stop alone, not in a pause for anything else', async () => {
  const { patientId, draft } = await programmed();
  await setPaused(stage.practitioner, patientId, true);
  await show(stage.practitioner, draft(1));
  expect(await leftShowing(stage.practitioner, patientId)).toEqual({ id: 'one', turn: 1 });
});

it('is refused for a patient whose screening does not stand', async () => {
  const { patientId, draft } = await programmed();
  await saveScreening(stage.practitioner, screening(patientId, ['bladder-bowel']));
  await expect(show(stage.practitioner, draft(1))).rejects.toMatchObject({ status: 409 });
});
