import { ENGLISH } from '@/catalogue';
import { SHIPPED_LANGUAGES } from '@/catalogue/shipped-languages';
import { press } from '../support/browser';
import { browserStage } from '../support/browser-stage';
import { SIZES, TEXTS, misfitsIn, playing } from '../support/player-fits';

/** The player on every screen, in every size of text, in every kind of segment. */
const stage = browserStage();

it.each([ENGLISH, ...SHIPPED_LANGUAGES].map((one) => [one.tag, one] as const))(
  'fits the player into every screen in every kind of segment, in %s',
  async (tag, language) => {
    const { texts } = language;
    const phone = await playing(stage, `Redshank ${tag}`, language);
    const kinds = new Set<string>();
    const wrong: string[] = await misfitsIn(phone, TEXTS, SIZES);
    for (;;) {
      const word = await phone.evaluate(
        () => document.querySelector('[data-testid=now]')?.textContent ?? null,
      );
      if (word === null) break;
      if (!kinds.has(word)) {
        await press(phone, texts['player.pause']);
        const still = await phone.$eval('[data-testid=now]', (one) => one.textContent ?? '');
        if (!kinds.has(still))
          wrong.push(...(await misfitsIn(phone, TEXTS, SIZES)).map((one) => `${still}, ${one}`));
        kinds.add(still);
        await press(phone, texts['player.goOn']);
      }
      if (await phone.$(`::-p-xpath(//button[normalize-space(.)="${texts['player.ready']}"])`))
        await press(phone, texts['player.ready']);
    }
    console.log(`kinds of segments in ${tag}: ${[...kinds].join(', ')}`);
    expect(kinds.size).toBeGreaterThanOrEqual(7);
    expect(wrong).toEqual([]);
    await phone.close();
  },
  900_000,
);
