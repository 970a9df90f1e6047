import { PHONE, chord, clickAt, press, says } from '../support/browser';
import { makePatient } from '../support/clinic';
import { browserStage } from '../support/browser-stage';

const stage = browserStage(undefined, { whole: true });

describe('instruments', () => {
  it('a push is taken as its peak, a lost signal undoes the trial, the force band follows', async () => {
    const id = await makePatient(stage.practitioner);
    const page = await stage.open(`/patients/${id}/measure`);
    await chord(page, 'Alt', 'm');
    await says(page, 'Push forward');
    await clickAt(
      page,
      '::-p-xpath(//button[contains(., "Push forward from the push dynamometer")])',
    );
    await clickAt(page, '::-p-xpath(//summary[contains(., "Bench of the simulated")])');
    await press(page, 'Connect the push dynamometer');
    await says(page, 'Push when ready.');
    const bench = (value: number) =>
      page.$eval(
        'input[data-bench="push dynamometer"]',
        (input, truth) => {
          // Past React's own setter, as a hand on the slider would.
          Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(
            input,
            String(truth),
          );
          input.dispatchEvent(new Event('input', { bubbles: true }));
        },
        value,
      );
    const reach = () =>
      page.click(
        '::-p-xpath(//fieldset[legend="push dynamometer"]//label[contains(., "in reach")]/input)',
      );
    await bench(90);
    await says(page, 'Pushing …');
    await reach();
    await says(page, 'Signal lost.');
    await new Promise((resolve) => setTimeout(resolve, 800));
    await reach();
    await says(page, 'does not count. Take it again.');
    await bench(0);
    await press(page, 'Again');
    await says(page, 'Push when ready.');
    await bench(80);
    await new Promise((resolve) => setTimeout(resolve, 1200));
    await bench(0);
    const first = 'input[aria-label="Push forward, trial 1, newtons"]';
    await page.waitForFunction(
      (selector) => (document.querySelector(selector) as HTMLInputElement).value !== '',
      {},
      first,
    );
    const value = Number(await page.$eval(first, (input) => input.value));
    expect(Math.abs(value - 80)).toBeLessThan(5);
    await says(page, '30–50 % of');
    expect(page.problems).toEqual([]);
    await page.close();
  });

  it('the phone’s own sensor measures a tilt from its zero', async () => {
    const id = await makePatient(stage.practitioner);
    const page = await stage.open(`/patients/${id}/measure`, PHONE);
    const cdp = await page.createCDPSession();
    const pose = (beta: number) =>
      cdp.send('DeviceOrientation.setDeviceOrientationOverride', { alpha: 20, beta, gamma: 0 });
    await clickAt(page, '::-p-xpath(//summary[contains(., "of Neck bend back")])');
    await page.select(
      '::-p-xpath(//summary[contains(., "of Neck bend back")]/following-sibling::div//select[option="phone sensor"])',
      'phone sensor',
    );
    await pose(15);
    await clickAt(
      page,
      '::-p-xpath(//button[contains(., "Neck bend back from the phone sensor")])',
    );
    await press(page, 'Connect the phone sensor');
    await says(page, 'Move to the end');
    await press(page, 'Zero here');
    await pose(70);
    const first = 'input[aria-label="Neck bend back, trial 1, degrees"]';
    await page.waitForFunction(
      (selector) => (document.querySelector(selector) as HTMLInputElement).value !== '',
      {},
      first,
    );
    expect(Number(await page.$eval(first, (input) => input.value))).toBe(55);
    await page.close();
  });
});
