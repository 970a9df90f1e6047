import { languageTable, longestFor, readLanguageTable } from './language-table';
import { ENGLISH, type Language, sayToPatient } from './messages/patient';
import { readLanguage } from './messages/read-language';
import { allSayings } from './sayings';
import { SHIPPED_LANGUAGES } from './shipped-languages';
import { sayPhrases } from './messages';
import { parseDose, readDose } from '@/core/dose';

const ENGLISH_SAYINGS = allSayings().map(({ text }) => text);

/** Every text of a language beside its English. */
function pairs({ texts, sayings }: Language): [key: string, english: string, said: string][] {
  const said: Readonly<Record<string, string>> = texts;
  return [
    ...Object.entries(ENGLISH.texts).map(([key, english]): [string, string, string] => [
      key,
      english,
      said[key] ?? '',
    ]),
    ...ENGLISH_SAYINGS.map((text): [string, string, string] => [text, text, sayings[text] ?? '']),
  ];
}

/** How a language says the two sides; a word that only looks like one of them is taken out first. */
const SIDES: Readonly<Record<string, { left: RegExp; right: RegExp; neither: RegExp }>> = {
  ar: { left: /يسار|يسر/g, right: /يمين|يمن/g, neither: /يسرع|مستقيمين/g },
  de: {
    left: /\blink(?:s|e[rnms]?)\b/gi,
    right: /\brecht(?:s|e[rnms]?)\b/gi,
    neither: /rechten Winkel/gi,
  },
  es: { left: /izquierd/gi, right: /derech/gi, neither: /a la derecha de/gi },
};
/** English that says "right" of no side. */
const NO_SIDE = /right angles?|that is right|right back on|come right up|left off|time left/gi;

const count = (text: string, word: RegExp) => text.match(word)?.length ?? 0;
const digits = (text: string) => (text.match(/\d+/g) ?? []).sort().join(' ');

describe.each(SHIPPED_LANGUAGES.map((one): [string, Language] => [one.tag, one]))(
  'the texts in %s',
  (tag, language) => {
    it('are complete, and none is left over', () => {
      expect(Object.keys(language.texts).sort()).toEqual(Object.keys(ENGLISH.texts).sort());
      expect(Object.keys(language.sayings).sort()).toEqual([...ENGLISH_SAYINGS].sort());
      expect(pairs(language).filter(([, , said]) => said.trim() === '')).toEqual([]);
    });

    it('can all be read, and say every value their English says', () => {
      const table = { ...language.texts, ...language.sayings };
      expect(readLanguage(tag, table, ENGLISH_SAYINGS)?.problems).toEqual([]);
      expect(readLanguageTable(languageTable(language)).problems).toEqual([]);
    });

    it('never take one side for the other', () => {
      const { left, right, neither } = SIDES[tag] ?? { left: /x/, right: /x/, neither: /x/ };
      const mixed = pairs(language).filter(([key, english, said]) => {
        // It chooses by the side: said below.
        if (key === 'body.region') return false;
        const of = english.replace(NO_SIDE, '').replace(/\{[^{}]*\}/g, '');
        const by = said.replace(neither, '').replace(/\{[^{}]*\}/g, '');
        return (
          count(of, /\bleft\b/gi) !== count(by, left) ||
          count(of, /\bright\b/gi) !== count(by, right)
        );
      });
      expect(mixed.map(([, english, said]) => `${english} => ${said}`)).toEqual([]);
    });

    it('name each side of the body', () => {
      const said = (side: 'left' | 'right') =>
        sayToPatient(language, 'body.region', { view: 'front', side, part: 'x' });
      const { left, right } = SIDES[tag] ?? { left: /x/, right: /x/ };
      expect([count(said('left'), left), count(said('left'), right)]).toEqual([1, 0]);
      expect([count(said('right'), left), count(said('right'), right)]).toEqual([0, 1]);
    });

    it('say the same numbers', () => {
      const others = pairs(language).filter(
        ([, english, said]) => digits(english) !== digits(said),
      );
      expect(others.map(([, english, said]) => `${english} => ${said}`)).toEqual([]);
    });

    it('keep the English words of no text', () => {
      const kept = pairs(language).filter(
        ([, english, said]) => said === english && /[a-z]{4}/i.test(english.replace(/\{.*\}/g, '')),
      );
      // A word that is the same in both.
      const same = ['T-shirt', 'Normal', 'Normal: {words}', 'Pause', 'Vibration', 'Warm.', 'hand'];
      expect(kept.map(([, english]) => english).filter((text) => !same.includes(text))).toEqual([]);
    });

    it('count in the plural forms of their language', () => {
      const said = [1, 2, 3, 11, 100].map((seconds) =>
        sayToPatient(language, 'player.seconds', { seconds }),
      );
      expect(said).toEqual(SECONDS[tag]);
    });

    it('say a dose as people speak', () => {
      const dose = parseDose('x10 hold 10s gap 3s tuck 20-30% daily until 2026-12-24');
      if (!dose.ok) throw new Error(dose.say);
      expect(sayPhrases(readDose(dose.value, 'held'), language)).toBe(DOSE[tag]);
    });
  },
);

const SECONDS: Readonly<Record<string, readonly string[]>> = {
  ar: ['ثانية واحدة', 'ثانيتان', '3 ثوان', '11 ثانية', '100 ثانية'],
  de: ['1 Sekunde', '2 Sekunden', '3 Sekunden', '11 Sekunden', '100 Sekunden'],
  es: ['1 segundo', '2 segundos', '3 segundos', '11 segundos', '100 segundos'],
};

const DOSE: Readonly<Record<string, string>> = {
  ar: 'افعل 10. اثبت كل مرة 10 ثوان، واسترح 3 ثوان. اسحب ذقنك قليلا فقط: 20 إلى 30 % من الطريق. مرة كل يوم. حتى الخميس، 24 ديسمبر.',
  de: 'Machen Sie 10. Halten Sie jede 10 Sekunden, ruhen Sie 3 Sekunden. Ziehen Sie das Kinn nur ein wenig zurück: 20 bis 30 % des Weges. Einmal jeden Tag. Bis Donnerstag, 24. Dezember.',
  es: 'Haga 10. Mantenga cada una 10 segundos, descanse 3 segundos. Lleve el mentón atrás solo un poco: 20 a 30 % del camino. Una vez cada día. Hasta el jueves, 24 de diciembre.',
};

describe('a translator’s spreadsheet', () => {
  const [spanish] = SHIPPED_LANGUAGES.filter(({ tag }) => tag === 'es');
  if (!spanish) throw new Error('no Spanish');
  const rows = languageTable(spanish);

  it('has every text with where it is met, and the drawing beside an exercise’s', () => {
    expect(rows).toHaveLength(Object.keys(ENGLISH.texts).length + ENGLISH_SAYINGS.length);
    expect(rows.find(({ key }) => key === 'player.pause')).toEqual({
      key: 'player.pause',
      where: 'Player, while an exercise is done',
      drawing: '',
      longest: longestFor('Pause'),
      english: 'Pause',
      translation: 'Pausa',
    });
    expect(rows.find(({ key }) => key === 'Head slid straight back')?.drawing).toBe(
      'Tuck sitting tall',
    );
  });

  it('comes back as it went, also behind an apostrophe of a spreadsheet', () => {
    const back = readLanguageTable(
      rows.map((row) => ({ ...row, translation: row.key === 'day.no' ? "'-No" : row.translation })),
    );
    expect(back.problems).toEqual([]);
    expect(back.texts['day.no']).toBe('-No');
    expect(back.texts['Head slid straight back']).toBe('Cabeza deslizada recto hacia atrás');
  });

  it.each([
    ['missing', { translation: ' ' }, 'It has no translation yet.'],
    ['without a value', { translation: 'unos minutos' }, 'It does not say {minutes}.'],
    ['with a value of its own', { translation: '{minutos} min' }, '{minutos} has no value here.'],
    ['broken', { translation: 'unos {minutes' }, 'Its braces do not close.'],
    [
      'too long',
      { translation: `${'muy '.repeat(20)}{minutes}` },
      'It is 89 characters long, at most 48.',
    ],
    ['of no key', { key: 'no.such' }, 'There is no such text.'],
  ])('names the row of a text that is %s, and leaves it out', (_, change, say) => {
    const at = rows.findIndex(({ key }) => key === 'today.about');
    const read = readLanguageTable(
      rows.map((row, index) => (index === at ? { ...row, ...change } : row)),
    );
    expect(read.problems[0]).toEqual({ row: at + 2, say });
    expect(read.texts['today.about']).toBeUndefined();
  });

  it('names a row that was lost', () => {
    const read = readLanguageTable(rows.filter(({ key }) => key !== 'player.pause'));
    expect(read.problems).toEqual([{ row: 0, say: 'Its row is missing: “Pause”' }]);
  });
});
