import type { Page } from 'puppeteer-core';
import { sentVersion } from '@/core/programme';
import type { ClinicId } from '@/core/units';
import { versionsOf } from '@/db';

/** What a test reads and presses on the Plan desk. */
export const doseOf = (page: Page, name: string) =>
  page.$eval(`input[aria-label="Dose of ${name}"]`, (input) => input.value);

export const withAlt = async (page: Page, key: 'a' | 'f' | 'm' | 'Enter') => {
  await page.keyboard.down('Alt');
  await page.keyboard.press(key);
  await page.keyboard.up('Alt');
};

export const clickLabel = (page: Page, label: string) =>
  page.$eval(`[aria-label="${label}"]`, (element) => (element as HTMLElement).click());

/** The versions that were sent to a patient, as they were sent. */
export const sentTo = async (clinicId: ClinicId, patientId: string) =>
  ((await versionsOf(clinicId, [patientId])).get(patientId) ?? []).map(sentVersion);
