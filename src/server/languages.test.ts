import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ENGLISH } from '@/catalogue';
import { allSayings } from '@/catalogue/sayings';
import { isOffered, languageAccepted, languageFor, offeredLanguages } from './languages';

const folder = mkdtempSync(join(tmpdir(), 'dry-lantern-languages-'));
const said = jest.spyOn(console, 'error').mockImplementation(() => undefined);
let lines: string[];

beforeAll(() => {
  const allButOne = Object.fromEntries(
    Object.entries(ENGLISH.texts).filter(([key]) => key !== 'settings.back'),
  );
  const sayings = Object.fromEntries(allSayings().map(({ text }) => [text, text]));
  writeFileSync(join(folder, 'de.json'), JSON.stringify({ ...ENGLISH.texts, ...sayings }));
  writeFileSync(join(folder, 'pt.json'), JSON.stringify({ ...allButOne, ...sayings }));
  writeFileSync(join(folder, 'fr.json'), 'no JSON');
  process.env.LANGUAGES_DIR = folder;
  offeredLanguages();
  lines = said.mock.calls.map(([line]) => String(line));
});
afterAll(() => {
  said.mockRestore();
  rmSync(folder, { recursive: true, force: true });
});

it('tells the log of one missing text, of a file that is none, and of a whole one nothing', () => {
  const missing = lines.filter((line) => line.includes('pt.json has 1 texts'));
  expect(missing).toEqual([expect.stringMatching(/stay English; first \S+/)]);
  expect(lines.filter((line) => line.includes('fr.json could not be read'))).toHaveLength(1);
  expect(lines.filter((line) => line.includes('de.json'))).toEqual([]);
});

it('offers what could be read, and speaks English where nothing else fits', () => {
  expect(offeredLanguages().map(({ tag }) => tag)).toEqual(['en', 'ar', 'de', 'es', 'pt']);
  expect([isOffered('pt'), isOffered('fr'), isOffered('en')]).toEqual([true, false, true]);
  expect(languageFor({ language: 'pt' }).tag).toBe('pt');
  // A file stands in the place of the one that ships.
  expect(languageFor({ language: 'de' }).texts['today.begin']).toBe('Begin');
  expect(languageFor({ language: 'xx' }).tag).toBe('en');
  expect(languageAccepted('fr, pt;q=0.8').tag).toBe('pt');
  // A country of a language that is spoken.
  expect(languageAccepted('fr-CA, de-AT;q=0.8').tag).toBe('de');
  expect(languageAccepted(null).tag).toBe('en');
});
