import { write } from '@/db';
import { builder } from '@/db/door';
import { triageRow } from '@/db/schema';
import { browserStage } from '../support/browser-stage';
import { says } from '../support/browser';
import { makePatient, prescribe } from '../support/clinic';

/** A server of its own, which is ended while a thread reckons the rows of the list. */
const stage = browserStage({});

it('finishes what is being reckoned, and ends without a word (long)', async () => {
  for (let index = 0; index < 60; index += 1) {
    const id = await makePatient(stage.practitioner, `Quay ${index}`);
    await prescribe(stage.practitioner, id, [{ exerciseId: 'tuck-lying', dose: '10x10s daily' }]);
  }
  const page = await stage.open('/');
  await says(page, 'Quay 1');
  // As after midnight: the rows are there and past their time, so they are reckoned behind the look.
  await write(() => [
    builder()
      .update(triageRow)
      .set({ staleAt: 1 as never }),
  ]);
  const shown = await page.evaluate(async () => (await fetch('/')).text());
  expect(shown).toContain('still being reckoned');
  expect(shown).toContain('Quay 1');
  await stage.server.stop();
  expect(stage.server.log()).not.toMatch(/panick|Error/);
  // Whoever looks when it runs again finds them all.
  await stage.server.start();
  await page.waitForFunction(
    async () => !(await (await fetch('/')).text()).includes('still being reckoned'),
    { polling: 300 },
  );
}, 300_000);
