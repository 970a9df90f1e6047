import { says } from '../support/browser';
import { makePatient, prescribe } from '../support/clinic';
import { browserStage } from '../support/browser-stage';

const stage = browserStage();

it('stays usable with 500 lines', async () => {
  const patientId = await makePatient(stage.practitioner);
  await prescribe(
    stage.practitioner,
    patientId,
    Array.from({ length: 500 }, (_, index) => ({
      exerciseId: 'side-neck-stretch',
      dose: `${(index % 9) + 1}x30s gap 10s each side`,
    })),
  );
  const page = await stage.open(`/patients/${patientId}/plan`);
  const began = Date.now();
  await page.focus('input[aria-label="Dose of Side-neck stretch by barriers"]');
  await page.keyboard.type('4x20s left');
  await page.waitForFunction(
    () =>
      document.querySelector<HTMLInputElement>('input[aria-label^="Dose of"]')?.value ===
      '4x20s left',
  );
  console.log(`ten keys in a programme of 500 lines shown after ${Date.now() - began} ms`);
  await says(page, '4 holds of 20 seconds');
  expect(page.problems).toEqual([]);
}, 900_000);
