import { randomUUID } from 'node:crypto';
import { rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ENGLISH } from '@/catalogue';
import { allSayings } from '@/catalogue/sayings';
import { SHIPPED_LANGUAGES } from '@/catalogue/shipped-languages';
import { saveLanguage } from '@/server/details';
import { letterById, signLetter } from '@/server/follow/letter';
import { saveEntry } from '@/server/visit/entries';
import { saveMeasurements } from '@/server/visit/measuring';
import { makePatient, today } from '../support/clinic';
import { beginLife, liveOn } from '../support/life';
import { temporaryFolder } from '../support/server';
import { databaseStage, measure, patientOf } from '../support/stage';
import { consent } from '../support/consent';

/** English in brackets: a text that comes from anywhere else shows itself by having none. */
const folder = temporaryFolder('bracketed');
writeFileSync(
  join(folder, 'pt.json'),
  JSON.stringify({
    ...Object.fromEntries(Object.entries(ENGLISH.texts).map(([key, text]) => [key, `⟦${text}⟧`])),
    ...Object.fromEntries(allSayings().map(({ text }) => [text, `⟦${text}⟧`])),
  }),
);
process.env.LANGUAGES_DIR = folder;
afterAll(() => {
  delete process.env.LANGUAGES_DIR;
  rmSync(folder, { recursive: true, force: true });
});
const stage = databaseStage('own-letter');

/** Three weeks of pain that comes down, a goal, and a course of care beside it. */
async function lived(): Promise<string> {
  const life = await beginLife(stage.practitioner, [{}], { daysAgo: 24 });
  await liveOn(
    life,
    Array.from({ length: 24 }, (_, day) => ({ pain: Math.round(8 - day / 4) })),
  );
  await saveEntry(stage.practitioner, {
    id: randomUUID(),
    patientId: life.patientId,
    kind: 'goal',
    supersedes: null,
    on: today(),
    body: { activity: 'Zieh die Glocke', by: null, reachedOn: null },
  });
  // Only what was measured again stands in a letter.
  for (const found of [
    measure({ trials: [40] }),
    measure({ trials: [58] }),
    measure({ side: 'right' }),
  ])
    await saveMeasurements(stage.practitioner, {
      patientId: life.patientId,
      measurements: [found],
    });
  return life.patientId;
}

async function signed(patientId: string, kind: 'review' | 'discharge', forReferrer = false) {
  const id = randomUUID();
  await signLetter(stage.practitioner, { id, patientId, kind, words: 'Weiter so.', forReferrer });
  const found = await letterById(await patientOf(stage, patientId), id);
  if (!found) throw new Error('no letter');
  return found.letter;
}

it('says everything in the patient’s language, but for what somebody typed', async () => {
  const patientId = await lived();
  await saveLanguage(stage.practitioner, { patientId, language: 'pt' });
  const letter = await signed(patientId, 'review');
  const { own } = letter;
  if (!own) throw new Error('only in the clinic’s language');
  const all = [
    own.title,
    ...own.paragraphs,
    ...[own.measures, own.goals, own.programme].map(({ title }) => title),
    ...own.goals.items,
    ...own.programme.items,
    own.caution,
  ].join('\n');
  let left = all;
  for (let depth = 0; depth < 8; depth += 1) left = left.replace(/⟦[^⟦⟧]*⟧/g, '');
  expect(left.replaceAll(/[\s.:,;–—-]/g, '')).toBe('');
  expect(own.paragraphs).toContainEqual(
    expect.stringMatching(/from about 7 to about 3.*That is better/),
  );
  // The same facts as the clinic's, not its sentences.
  const done = /(\d+) of (\d+) sessions/;
  expect(done.exec(all)?.slice(1)).toEqual(done.exec(letter.paragraphs.join('\n'))?.slice(1));
  expect(own.measures.items).toMatchObject([
    {
      first: expect.stringContaining('40') as string,
      last: expect.stringContaining('58') as string,
    },
  ]);
  expect(own.goals.items[0]).toContain('Zieh die Glocke');
  expect([own.measures, own.goals, own.programme].map(({ items }) => items.length)).toEqual(
    [letter.measures, letter.goals, letter.programme].map(({ length }) => length),
  );
});

it('says of a measure that came out the same that it did', async () => {
  const patientId = await lived();
  for (const trials of [[50], [50]])
    await saveMeasurements(stage.practitioner, {
      patientId,
      measurements: [measure({ kind: 'neck-side-bend', trials })],
    });
  await saveLanguage(stage.practitioner, { patientId, language: 'de' });
  const { own } = await signed(patientId, 'review');
  const words = SHIPPED_LANGUAGES.find(({ tag }) => tag === 'de')?.texts;
  expect(own?.measures.items.map(({ verdict }) => verdict)).toContain(
    words?.['letter.change.same'],
  );
});

it('says nothing of sessions where none was due yet', async () => {
  const patientId = await makePatient(stage.practitioner);
  await saveLanguage(stage.practitioner, { patientId, language: 'pt' });
  const { own } = await signed(patientId, 'review');
  expect(own?.paragraphs.join(' ')).not.toMatch(/0 of 0|sessions/);
});

it.each(SHIPPED_LANGUAGES.map((one) => [one.tag, one] as const))(
  'is written in %s as its tables have it, and ends a treatment in its own words',
  async (tag, { texts }) => {
    const patientId = await lived();
    await saveLanguage(stage.practitioner, { patientId, language: tag });
    const { own } = await signed(patientId, 'discharge');
    expect(own).toMatchObject({
      language: tag,
      programme: { title: texts['letter.keepGoing'] },
      goals: { title: texts['letter.goals'] },
      caution: texts['letter.caution'],
    });
    // Which side was measured, in its own word.
    const measured = JSON.stringify(own?.measures.items);
    expect(measured).toContain(texts['player.left'] ?? 'no word');
    expect(measured).not.toContain(texts['player.right'] ?? 'no word');
    // No name of a value is left between its brackets.
    expect(JSON.stringify({ ...own, paragraphs: own?.paragraphs })).not.toMatch(/\{\w+\}/);
  },
);

it('is in the clinic’s language alone for who reads it, and for whoever referred', async () => {
  const patientId = await lived();
  expect((await signed(patientId, 'review')).own).toBeNull();
  await saveLanguage(stage.practitioner, { patientId, language: 'es' });
  await consent(stage.practitioner, patientId, { sharing: true });
  expect((await signed(patientId, 'review', true)).own).toBeNull();
});
