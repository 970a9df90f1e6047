import { press } from '../support/browser';
import { browserStage } from '../support/browser-stage';
import { SIZES, TEXTS, misfitsIn, playing } from '../support/player-fits';

/** The player on every screen, in every size of text, in every kind of segment. */
const stage = browserStage();

it('fits the player into every screen in every kind of segment', async () => {
  const phone = await playing(stage, 'Redshank Quay');
  const kinds = new Set<string>();
  const wrong: string[] = await misfitsIn(phone, TEXTS, SIZES);
  for (;;) {
    const word = await phone.evaluate(
      () => document.querySelector('[data-testid=now]')?.textContent ?? null,
    );
    if (word === null) break;
    if (!kinds.has(word)) {
      await press(phone, 'Pause');
      const still = await phone.$eval('[data-testid=now]', (one) => one.textContent ?? '');
      if (!kinds.has(still))
        wrong.push(...(await misfitsIn(phone, TEXTS, SIZES)).map((one) => `${still}, ${one}`));
      kinds.add(still);
      await press(phone, 'Go on');
    }
    if (await phone.$('::-p-xpath(//button[normalize-space(.)="I am ready"])'))
      await press(phone, 'I am ready');
  }
  console.log(`kinds of segments: ${[...kinds].join(', ')}`);
  expect(kinds.size).toBeGreaterThanOrEqual(7);
  expect(wrong).toEqual([]);
}, 900_000);
