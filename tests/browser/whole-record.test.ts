import { rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type Page } from 'puppeteer-core';
import { STORIES } from '../../scripts/demo/stories';
import { live } from '../../scripts/demo/simulate';
import { DAYS } from '../../scripts/demo/world';
import { addDays, dateRange } from '@/core/units';
import { violations } from '../support/axe';
import { DESK, beMember, freshPage, goTo, press, says, textOf } from '../support/browser';
import { browserStage } from '../support/browser-stage';
import { makeClinic, member, ownDomain, today } from '../support/clinic';

/** A record leaves one clinic and is followed in another. */
const stage = browserStage();

const SCREENS = ['', '/screen', '/measure', '/plan', '/teach', '/follow', '/review', '/handout'];

/** What a screen says of a patient, without whose clinic it is and whose phone was linked. */
async function screenOf(page: Page, path: string): Promise<string[]> {
  await goTo(page, `${stage.server.origin}${path}`);
  const lines = (await textOf(page)).split('\n').map((line) => line.trim());
  return lines.filter(
    (line) =>
      line !== '' && !/link|harbour|quayside|lead of|practitioner of|opened on a phone/i.test(line),
  );
}

it('takes a whole record out and into another clinic, where every screen says the same (long)', async () => {
  const [story] = STORIES;
  if (!story) throw new Error('no story');
  const dates = dateRange(addDays(today(), 1 - DAYS), today());
  const { patientId } = await live(story, 7, dates, () => member(stage.emails.practitioner), 20);
  const page = await stage.open(`/patients/${patientId}/record`);
  await says(page, 'Take out the whole record');
  // The browser saves what the button asks for; the test asks for the same and keeps it.
  const bytes = await page.evaluate(async (id) => {
    const answer = await fetch('/api/v1/whole-records', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ patientId: id }),
    });
    return [...new Uint8Array(await answer.arrayBuffer())];
  }, patientId);
  const saved = page.waitForResponse((answer) => answer.url().endsWith('/api/v1/whole-records'));
  await press(page, 'Take out the whole record');
  expect((await saved).headers()['content-type']).toBe('application/zip');
  const file = join(tmpdir(), `whole-record-${patientId}.zip`);
  writeFileSync(file, Buffer.from(bytes));

  const { emails } = await makeClinic('quayside', ownDomain());
  const taker = await member(emails.practitioner);
  const there = await freshPage(stage.browser, DESK);
  await beMember(there, stage.server.origin, taker.token);
  await goTo(there, `${stage.server.origin}/patients/import`);
  const input = await there.$('input[aria-label="Choose the record"]');
  if (!input) throw new Error('no place for the file');
  await input.uploadFile(file);
  await says(there, 'You do not have this patient yet.');
  expect(await violations(there, 'a record looked at')).toEqual([]);
  await press(there, 'Take in');
  await says(there, 'The record was taken in.');
  for (const screen of SCREENS) {
    const path = `/patients/${patientId}${screen}`;
    expect([screen, await screenOf(there, path)]).toEqual([screen, await screenOf(page, path)]);
  }
  // Taken in once more it changes nothing.
  await goTo(there, `${stage.server.origin}/patients/import`);
  const again = await there.$('input[aria-label="Choose the record"]');
  await (again as NonNullable<typeof again>).uploadFile(file);
  await says(there, 'Everything in it is here already.');
  rmSync(file, { force: true });
  expect([...page.problems, ...there.problems]).toEqual([]);
}, 300_000);

it('says what is wrong with a file that is no record, and changes nothing (long)', async () => {
  const page = await stage.open('/patients/import');
  const file = join(tmpdir(), 'no-record.zip');
  writeFileSync(file, 'no record');
  const input = await page.$('input[aria-label="Choose the record"]');
  await (input as NonNullable<typeof input>).uploadFile(file);
  await says(page, 'This is not a whole record');
  rmSync(file, { force: true });
});
