import { randomUUID } from 'node:crypto';
import { DESK, beMember, freshPage, goTo, press, reloaded, says } from '../support/browser';
import { member, PASSWORD } from '../support/clinic';
import { browserStage } from '../support/browser-stage';

const stage = browserStage();
const NEW = 'four words by the sea';

it('a new member sets the password by the link the lead hands over, once, and signs in with it (long)', async () => {
  const lead = await freshPage(stage.browser, DESK);
  await beMember(lead, stage.server.origin, stage.lead.token);
  await goTo(lead, `${stage.server.origin}/clinic`);
  const email = `${randomUUID()}@harbour.example`;
  await lead.type('form input[name=name][autocomplete=off]', 'Sorrel Quay');
  await lead.type('input[name=email]', email);
  await press(lead, 'Add the member');
  await says(lead, 'Give this link to Sorrel Quay in person.');
  const address = await lead.$eval('.select-all', (element) => element.textContent ?? '');
  expect(await lead.$('form:has(input[name=email]) input[type=password]')).toBeNull();

  const page = await freshPage(stage.browser, DESK);
  await goTo(page, address);
  // The token is out of the address before anything is typed.
  await page.waitForFunction(() => location.hash === '');
  await page.type('input[name=password]', 'sorrel quay');
  await press(page, 'Set the password');
  await says(page, 'little more than your name');
  await page.$eval('input[name=password]', (input) => (input.value = ''));
  await page.type('input[name=password]', NEW);
  await press(page, 'Set the password');
  await says(page, 'Your password is set');
  await press(page, 'Sign in');
  await page.waitForSelector('input[name=email]');
  await page.type('input[name=email]', email);
  await page.type('input[name=password]', NEW);
  await press(page, 'Sign in');
  await says(page, 'Sorrel Quay (practitioner)');
  // Used up.
  const again = await freshPage(stage.browser, DESK);
  await goTo(again, address);
  await again.type('input[name=password]', NEW);
  await press(again, 'Set the password');
  await says(again, 'This link was used');
  expect([...lead.problems, ...page.problems]).toEqual([]);
});

it('a member changes the own password and ends another session; a list that is only looked through changes nobody (long)', async () => {
  await member(stage.emails.practitioner);
  const page = await stage.open('/account');
  await says(page, 'this browser');
  await press(page, 'End it');
  await page.waitForFunction(() => document.querySelectorAll('main li').length === 1);
  await page.type('input[name=old]', 'not it at all');
  await page.type('input[name=password]', NEW);
  await press(page, 'Change the password');
  await says(page, 'The password of before is not right.');
  await page.$eval('input[name=old]', (input) => (input.value = ''));
  await page.type('input[name=old]', PASSWORD);
  await press(page, 'Change the password');
  await says(page, 'Your password is changed');
  await reloaded(page);
  await says(page, 'Your account');

  const lead = await freshPage(stage.browser, DESK);
  await beMember(lead, stage.server.origin, stage.lead.token);
  await goTo(lead, `${stage.server.origin}/clinic`);
  const role = 'select[aria-label="Role of assistant of harbour"]';
  await lead.focus(role);
  await lead.keyboard.type('p');
  await reloaded(lead);
  expect(await lead.$eval(role, (list) => list.value)).toBe('assistant');
  await lead.select(role, 'practitioner');
  await press(lead, 'Make practitioner');
  await says(lead, 'assistant of harbour is practitioner now.');
  await lead.waitForFunction(() => !document.body.innerText.includes('Make practitioner'));
  expect([...page.problems, ...lead.problems]).toEqual([]);
});

it('the lead writes down who answers for somebody who fell ill (long)', async () => {
  const page = await freshPage(stage.browser, DESK);
  await beMember(page, stage.server.origin, stage.lead.token);
  await goTo(page, `${stage.server.origin}/account`);
  await page.select('select[name=memberId]', stage.practitioner.id);
  await page.select('select[name=coveredBy]', stage.practitioner.id);
  const from = await page.$eval('input[name=from]', (field) => field.value);
  await page.locator('input[name=to]').fill(from);
  await press(page, 'Write it down');
  await says(page, 'Somebody else answers than who is away.');
  await page.select('select[name=coveredBy]', stage.lead.id);
  await press(page, 'Write it down');
  await says(page, `for ${stage.practitioner.name}`);
  await press(page, 'End it');
  await page.waitForFunction(
    (words) => !document.body.innerText.includes(words),
    {},
    `for ${stage.practitioner.name}`,
  );
});
