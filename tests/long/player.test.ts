import { issueLink, revokeLink } from '@/server/links';
import { goTo, press, reloaded, says, textOf } from '../support/browser';
import { finish, phoneStage } from '../support/phone';
import { eventually, repsTold } from '../support/record';

const { stage, atThePlayer, told, untilTold } = phoneStage({ own: true });

it('keeps every repetition while there is no signal, and sends them when there is one', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  await phone.setOfflineMode(true);
  await finish(phone);
  await says(phone, 'Saved on this phone. It goes to your clinic when there is a signal.');
  expect(await textOf(phone)).toContain('Sciatic nerve slider, sitting – done');
  expect(repsTold(await told(patientId))).toHaveLength(0);
  await phone.setOfflineMode(false);
  await says(phone, 'Everything you did is at harbour.');
  await untilTold(patientId, 6);
  expect(repsTold(await told(patientId)).map((rep) => [rep.rep, rep.moved])).toEqual([
    [1, 2],
    [2, 2],
    [3, 2],
    [4, 2],
    [1, 2],
    [2, 2],
  ]);
}, 900_000);

it('keeps what was done when the server goes away and comes back', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  await stage.server.stop('SIGKILL');
  await finish(phone);
  await says(phone, 'Saved on this phone');
  await stage.server.start();
  await reloaded(phone);
  await says(phone, 'Everything you did is at harbour.');
  await untilTold(patientId, 6);
}, 900_000);

it('puts a session on the right day when the phone’s clock is three days ahead', async () => {
  const { phone, patientId } = await atThePlayer(async (page) => {
    await page.evaluateOnNewDocument(() => {
      const real = Date.now.bind(Date);
      Date.now = () => real() + 3 * 86_400_000;
    });
  });
  await finish(phone);
  await untilTold(patientId, 6);
}, 900_000);

it('stands still, instead of guessing, when nobody was watching', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  // A phone that sleeps runs no timers; its monotonic clock goes on.
  await phone.evaluate(() => {
    const real = performance.now.bind(performance);
    performance.now = () => real() + 600_000;
  });
  await says(phone, 'The screen was off, so the count stood still.');
  await press(phone, 'Go on');
  await finish(phone);
  await untilTold(patientId, 6);
}, 900_000);

it('keeps what was done when the link is ended in the middle, and sends it after a new one', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  await revokeLink(stage.practitioner, patientId);
  await finish(phone);
  // The session is played to its end; then the page forgets whom it was for.
  await says(phone, 'This link no longer works.');
  const before = repsTold(await told(patientId)).length;
  expect(before).toBeLessThan(6);
  await reloaded(phone);
  await says(phone, 'still saved on this phone');
  const { token } = await issueLink(stage.practitioner, patientId);
  await goTo(phone, `${stage.server.origin}/open#${token}`);
  await untilTold(patientId, 6);
}, 900_000);

it('pauses, goes back, and leaves an exercise out with its reason', async () => {
  const { phone, patientId } = await atThePlayer();
  await says(phone, '2 of 4');
  await press(phone, 'Pause');
  await says(phone, 'Paused.');
  const frozen = await phone.$eval('section p.figures', (element) => element.textContent);
  await new Promise((resolve) => setTimeout(resolve, 1500));
  expect(await phone.$eval('section p.figures', (element) => element.textContent)).toBe(frozen);
  await press(phone, 'Go on');
  await press(phone, 'Back');
  await press(phone, 'Skip');
  await press(phone, 'I do not have what it needs');
  await says(phone, 'Sciatic nerve slider, sitting');
  await finish(phone);
  await says(phone, 'Everything you did is at harbour.');
  await eventually(async () => {
    const lines = (await told(patientId)).filter((body) => body.type === 'line');
    expect(lines.some((line) => line.skipped === 'no equipment')).toBe(true);
    expect(repsTold(lines).filter((rep) => rep.moved >= 2).length).toBeGreaterThanOrEqual(3);
  });
}, 900_000);
