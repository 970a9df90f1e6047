import { randomUUID } from 'node:crypto';
import { type Instant, later, instantAt } from '@/core/schedule';
import { dueMessages, messagesOf } from '@/db';
import { type PatientHere } from '@/server/access';
import { setClock } from '@/server/clock';
import { planReminders, sendDue, simulatedSender } from '@/server/patient/outbox';
import { PERIODS_MS } from '@/server/periods';
import { pauseMyself, saveSettings } from '@/server/patient/settings';
import { ZONE, minute, today } from '../support/clinic';
import { databaseStage } from '../support/stage';
import { patientHere, settings } from '../support/patient-here';

const stage = databaseStage('reminders');

afterEach(() => setClock(null));

describe('reminders through the simulated outbox', () => {
  async function reminded() {
    const here = await patientHere(stage.practitioner);
    await saveSettings(here, { ...settings(), wakeMinute: minute(420), sleepMinute: minute(1320) });
    return here;
  }
  const mine = async (here: PatientHere) =>
    (await messagesOf(here.clinicId)).filter(({ message }) => message.patientId === here.id);

  it('go into the outbox once however often it is looked at, and each is sent once', async () => {
    const here = await reminded();
    const noon: number = instantAt(ZONE, today(), minute(500));
    for (let minute = 0; minute < 180; minute += 10) {
      setClock(() => noon + minute * 60_000);
      await planReminders();
      await planReminders();
    }
    const planned = await mine(here);
    expect(planned.length).toBeGreaterThanOrEqual(1);
    expect(planned.every(({ message }) => message.purpose === 'session')).toBe(true);
    for (const { message } of planned) {
      expect(message).toMatchObject({ state: 'waiting', attempts: 0, sentAt: null });
      expect(message.id.startsWith(`${here.id} ${today()} `)).toBe(true);
      // It is put there once its moment has come, and not when that is 45 minutes ago.
      const late = message.createdAt - message.dueAt;
      expect([late >= 0, late < 45 * 60_000]).toEqual([true, true]);
    }
    const send = simulatedSender();
    for (let minute = 0; minute < 60; minute += 1)
      await Promise.all([
        sendDue(send, (noon + minute * 60_000 + 4 * 3_600_000) as Instant),
        sendDue(send, (noon + minute * 60_000 + 4 * 3_600_000) as Instant),
      ]);
    const after = await mine(here);
    const sent = after.filter(({ message }) => message.state === 'sent');
    expect(sent.length + after.filter(({ message }) => message.state === 'given up').length).toBe(
      planned.length,
    );
    for (const { message } of sent) expect(send.delivered.has(message.id)).toBe(true);
    expect(after[0]?.message.text).not.toMatch(/neck|pain/i);
  });

  it('go out from the very minute they are due, and no more once they are too late', async () => {
    const here = await reminded();
    const dues = async () => (await mine(here)).map(({ message }) => message.dueAt as number);
    const begin: number = instantAt(ZONE, today(), minute(500));
    setClock(() => begin);
    for (let step = 0; (await dues()).length === 0 && step < 40; step += 1)
      await planReminders((begin + step * 600_000) as Instant);
    const [due] = await dues();
    if (due === undefined) throw new Error('no reminder');
    const other = await reminded();
    const planned = async (at: number) => {
      await planReminders(at as Instant);
      return (await mine(other)).some(({ message }) => message.dueAt === due);
    };
    expect(await planned(due + PERIODS_MS.reminderTooLate)).toBe(false);
    expect(await planned(due - 1)).toBe(false);
    expect(await planned(due)).toBe(true);
  });

  it('fail in the stand-in one time in five, the same each time', async () => {
    const [one, another] = [simulatedSender(), simulatedSender()];
    const luck = async (send: typeof one) => {
      const tries: string[] = [];
      for (let i = 0; i < 400; i += 1)
        tries.push(
          (
            await send({
              clinicId: stage.practitioner.clinicId,
              patientId: randomUUID(),
              purpose: 'session',
              id: `message ${i % 200}`,
              address: 'a',
              text: `text ${i}`,
              channel: 'text',
            })
          ).outcome,
        );
      return tries;
    };
    const tries = await luck(one);
    expect(await luck(another)).toEqual(tries);
    const failed = tries.filter((state) => state === 'failed').length / tries.length;
    expect(failed).toBeGreaterThan(0.15);
    expect(failed).toBeLessThan(0.25);
    expect(tries.slice(0, 200)).not.toEqual(tries.slice(200));
  });

  it('are tried again when sending fails, and given up after the last try', async () => {
    const here = await reminded();
    const morning = instantAt(ZONE, today(), minute(500));
    for (let minute = 0; minute < 180; minute += 10) {
      setClock(() => morning + minute * 60_000);
      await planReminders();
    }
    let tries = 0;
    const never = async () => {
      tries += 1;
      return { outcome: 'failed' as const };
    };
    for (let minute = 0; minute < 40; minute += 1)
      await sendDue(never, (morning + (240 + minute) * 60_000) as Instant);
    const states = (await mine(here)).map(({ message }) => [message.state, message.attempts]);
    expect(states.every(([state, attempts]) => state === 'given up' && attempts === 4)).toBe(true);
    expect(tries).toBeGreaterThanOrEqual(4);
    expect(await dueMessages(later(morning, 12 * 3_600_000), 500)).toEqual([]);
  });

  it('stop for what is done, on paused days, and when nothing is wanted', async () => {
    const here = await reminded();
    await pauseMyself(here, { id: randomUUID(), from: today(), to: today(), reason: 'ill' });
    const dawn: number = instantAt(ZONE, today(), minute(420));
    for (let minute = 0; minute < 720; minute += 20) {
      setClock(() => dawn + minute * 60_000);
      await planReminders();
    }
    expect(await mine(here)).toEqual([]);
  });
});
