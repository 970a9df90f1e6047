import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Page } from 'puppeteer-core';
import { limitsFileText } from '@/core/exchange';
import { TRIAGE_LIMITS } from '@/core/triage';
import { violations } from '../support/axe';
import {
  DESK,
  beMember,
  clickAt,
  freshPage,
  goTo,
  press,
  says,
  textOf,
  typeInto,
} from '../support/browser';
import { browserStage } from '../support/browser-stage';
import { makePatient } from '../support/clinic';

/** What comes in from other systems and other clinics, by the pages that take it. */
const stage = browserStage();
const folder = mkdtempSync(join(tmpdir(), 'exchange-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Gives a file of this text to a place of the page. */
async function give(page: Page, selector: string, name: string, text: string): Promise<void> {
  const path = join(folder, name);
  writeFileSync(path, text);
  const input = await page.waitForSelector(selector);
  await (input as unknown as { uploadFile(path: string): Promise<void> }).uploadFile(path);
}

const observation = (id: string, kind: string, value: number) => ({
  resource: {
    resourceType: 'Observation',
    id,
    status: 'final',
    code: { text: kind },
    subject: { reference: 'Patient/p1' },
    effectiveDateTime: '2026-03-02',
    valueInteger: value,
  },
});
const bundle = (name: string, ...entry: object[]) =>
  JSON.stringify({
    resourceType: 'Bundle',
    type: 'collection',
    entry: [{ resource: { resourceType: 'Patient', id: 'p1', name: [{ text: name }] } }, ...entry],
  });
const FILE = 'input[aria-label="Choose the file of another system"]';

it('adds a patient of another system, and keeps what was typed where something is missing (long)', async () => {
  const page = await stage.open('/patients/import');
  await give(page, FILE, 'none.json', '<Patient/>');
  await says(page, 'This is no JSON.');
  const text = bundle(
    'Isolde Brack',
    observation('a', 'Pain now', 6),
    observation('b', 'Weight', 70),
  );
  await give(page, FILE, 'patient.json', text);
  await says(page, '1 of 1 measurements are new here.');
  await says(page, 'Weight: no kind of measurement that is known here.');
  expect(await violations(page, 'a patient of another system')).toEqual([]);
  await typeInto(page, 'Where it comes from', 'Hill Clinic');
  await press(page, 'Add this patient');
  await says(page, 'The complaint is missing.');
  // What was typed is still there.
  expect(await page.$$eval('main input', (all) => all.map(({ value }) => value))).toContain(
    'Hill Clinic',
  );
  await typeInto(page, 'What they come for', 'Neck ache');
  await press(page, 'Add this patient');
  await says(page, 'Taken in: 1 measurement.');
  const file = await page.$eval('main [role=status] a', (link) => link.getAttribute('href'));
  await goTo(page, `${stage.server.origin}${file}/measure`);
  await says(page, 'Isolde Brack');
  await (
    await page.waitForSelector(
      '::-p-xpath(//summary[contains(., "Earlier") and contains(., "of Pain now")])',
    )
  )?.click();
  await says(page, 'from another clinic');
  await says(page, 'From Hill Clinic');
});

it('takes measurements into a file, and asks where the file is of another name (long)', async () => {
  const id = await makePatient(stage.practitioner, 'Corin Fallow');
  const page = await stage.open(`/patients/${id}/record`);
  await give(page, FILE, 'other.json', bundle('Somebody Else', observation('a', 'Pain now', 6)));
  await says(page, 'The file is of Somebody Else, this patient is Corin Fallow.');
  await typeInto(page, 'Where it comes from', 'Hill Clinic');
  await press(page, 'Take the new measurements in');
  await says(page, 'Say that it is the same person');
  await clickAt(page, 'main form input[type=checkbox]');
  await press(page, 'Take the new measurements in');
  await says(page, 'Taken in: 1 measurement.');
});

it('looks at another clinic’s limits, and takes them whole (long)', async () => {
  const page = await freshPage(stage.browser, DESK);
  await beMember(page, stage.server.origin, stage.lead.token);
  await goTo(page, `${stage.server.origin}/clinic`);
  const INPUT = 'input[aria-label="Choose a file of limits"]';
  await give(page, INPUT, 'wrong.json', '{"format":"another"}');
  await says(page, 'This is not a file of a clinic’s limits.');
  const text = limitsFileText({
    limits: { ...TRIAGE_LIMITS, painOver: 5 },
    detectable: {},
    bands: [],
  });
  await give(page, INPUT, 'limits.json', text);
  await says(page, 'What would change.');
  expect(await textOf(page)).toMatch(/Call when pain is over \(of 10\)\s+7\s+5/);
  expect(await violations(page, 'limits looked at')).toEqual([]);
  await press(page, 'Take these limits');
  await says(page, 'The file’s limits are your clinic’s now.');
  await page.waitForFunction(
    () => document.querySelector<HTMLInputElement>('input[name=painOver]')?.value === '5',
  );
});
