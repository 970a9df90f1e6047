import { WEEKDAYS } from '../units';

/**
 * What clinicians write, in the grammar's own words. Rules are tried in this order, each over the
 * whole line; what none of them knows is left as it stands, and the parser marks it. Common practice,
 * no source.
 */
type Rule = readonly [RegExp, string | ((...groups: string[]) => string)];

const N = String.raw`\d+(?:[.,]\d+)?(?:-\d+(?:[.,]\d+)?)?`;
const COUNT = String.raw`\d+(?:-\d+)?(?![\d]|-\d)`;
const SPAN = String.raw`${N}(?:s|min)`;
const A_DAY = String.raw`(?:\/|an?|per|each) ?(?:day|d)\b`;
const WORDS_OF_NUMBERS: Readonly<Record<string, string>> = {
  once: '1',
  twice: '2',
  thrice: '3',
  two: '2',
  three: '3',
  four: '4',
  five: '5',
  six: '6',
};
const NUMBER_WORD = Object.keys(WORDS_OF_NUMBERS).join('|');
const asNumber = (word: string) => WORDS_OF_NUMBERS[word] ?? word;

const words = (list: string) => new RegExp(String.raw`(?<![a-z0-9])(?:${list})(?![a-z0-9])`, 'g');

const UNITS: readonly Rule[] = [
  [/(\d) ?(?:″|"|'')/g, '$1s'],
  [/(\d) ?(?:′|')/g, '$1min'],
  [/(\d)[ -]?(?:seconds?|secs?\.?|s)(?![a-z])/g, '$1s'],
  [/(\d)[ -]?(?:minutes?|mins?\.?)(?![a-z])/g, '$1min'],
  [/(\d)[ -]?(?:hours?|hrs?\.?)(?![a-z])/g, '$1h'],
  [/(\d) ?- ?(?=\d)/g, '$1-'],
  [/(\d) to (?=\d)/g, '$1-'],
];

const SIDES: readonly Rule[] = [
  [
    words(String.raw`l ?[\/&+] ?r|r ?[\/&+] ?l|left (?:and|&|\+) right|right (?:and|&|\+) left`),
    'each side',
  ],
  [
    words(String.raw`(?:on |to )?(?:both|either|ea\.?|each|per) (?:sides?|way|direction)`),
    'each side',
  ],
  [words(String.raw`bilateral(?:ly)?|bilat\.?|b\/l|both`), 'each side'],
  [words(String.raw`alternat(?:e|ing|ely)(?: sides?)?|alt\.? sides?|alt`), 'alternating'],
  [words(String.raw`(?:on |to )?(?:the )?(?:left|lt|l)(?: side)?(?: only)?`), 'left'],
  [words(String.raw`(?:on |to )?(?:the )?(?:right|rt|r)(?: side)?(?: only)?`), 'right'],
];

const DAYS: readonly Rule[] = [
  [words('qod|q\\.o\\.d\\.?|eod|every (?:second|2nd|2) days?|alternate days?'), 'every other day'],
  [words('weekdays|every weekday'), 'mon tue wed thu fri'],
  [words('weekends?'), 'sat sun'],
  [/\b(mon|tue|wed|thu|fri|sat|sun)(?:(?:|s|nes|rs|ur)days?|s|rs|r)?\b/g, '$1'],
  [/\b(mon|tue|wed|thu|fri|sat|sun) ?(?:-|to) ?(mon|tue|wed|thu|fri|sat|sun)\b/g, daysFromTo],
  [/\b(mon|tue|wed|thu|fri|sat|sun)[/,&](?=(?:mon|tue|wed|thu|fri|sat|sun)\b)/g, '$1 '],
];

function daysFromTo(_: string, from = '', to = ''): string {
  const [first, last] = [from, to].map((day) => WEEKDAYS.findIndex((one) => one === day)) as [
    number,
    number,
  ];
  const count = ((last - first + 7) % 7) + 1;
  return Array.from({ length: count }, (__, i) => WEEKDAYS[(first + i) % 7]).join(' ');
}

const TIMES: readonly Rule[] = [
  [words('b\\.?i\\.?d\\.?'), '2/day'],
  [words('t\\.?i\\.?d\\.?'), '3/day'],
  [words('q\\.?i\\.?d\\.?'), '4/day'],
  [words(String.raw`am ?(?:\/|&|and|\+) ?pm|morning and (?:evening|night)`), '2/day'],
  [
    new RegExp(String.raw`\b(${NUMBER_WORD})(?: times?)? ?(?:daily|${A_DAY})`, 'g'),
    (_, n = '') => `${asNumber(n)}/day`,
  ],
  [
    new RegExp(String.raw`\b(${COUNT}) ?(?:(?:x|times?) ?daily\b|(?:x|times?)? ?${A_DAY})`, 'g'),
    '$1/day',
  ],
  [new RegExp(String.raw`\bx ?(${COUNT}) ?${A_DAY}`, 'g'), '$1/day'],
  [/\bx ?(\d+(?:-\d+)?\/day)/g, '$1'],
  [
    new RegExp(String.raw`\b(\d) ?(?:x|times?)? ?(?:\/|an?|per|each) ?(?:week|wk)\b`, 'g'),
    '$1/week',
  ],
  [/\b(?:hourly|q1h|every hour|each hour)\b/g, 'every 1h'],
  [/\bq ?(\d+) ?h\b/g, 'every $1h'],
  [/\bevery (\d+(?:h|min))\b/g, 'every $1'],
  [words('(before|after) (?:manual therapy|hands-on|treatment)(?: care)?'), '$1 hands-on care'],
  [words('prn|p\\.r\\.n\\.?|as required|when needed'), 'as needed'],
  // Last, so that no number before it is taken for times a day.
  [words('q\\.?d\\.?|every day'), 'daily'],
];

const WORK: readonly Rule[] = [
  [
    new RegExp(String.raw`\b(?:hold|held|holds)(?: each(?! side))?(?: for)? (${SPAN})`, 'g'),
    'hold $1',
  ],
  [
    new RegExp(
      String.raw`\b(${COUNT} ?x ?${SPAN}) ?(?:holds?|held)\b(?! (?:for )?${SPAN})(?: each(?! side))?`,
      'g',
    ),
    '$1',
  ],
  [
    new RegExp(
      String.raw`\b(${SPAN}) ?(?:holds?|held)\b(?! (?:for )?${SPAN})(?: each(?! side))?`,
      'g',
    ),
    'hold $1',
  ],
  [
    new RegExp(String.raw`\b(?:rest|resting)(?: of| for| between(?: sets)?)? (${SPAN})`, 'g'),
    'rest $1',
  ],
  [
    new RegExp(
      String.raw`\b(${SPAN}) ?(?:rest|rests)\b(?! (?:of |for |between )?(?:sets )?${SPAN})(?: between(?: sets)?)?`,
      'g',
    ),
    'rest $1',
  ],
  [new RegExp(String.raw`@ ?(?=\d)`, 'g'), ''],
  [/(\d ?%)(?: of)?(?: mvc| max(?:imum)?| effort)/g, '$1'],
  [words('rpe ?(?=\\d)'), 'rpe '],
];

const SETS = String.raw`(${COUNT}) ?sets?`;
const REPS = String.raw`(?:repetitions?|reps?\.?|times?|x)`;
const HEAD: readonly Rule[] = [
  [
    words(
      String.raw`amrap|as many (?:reps? )?as (?:possible|you can)|(?:to|until|till) (?:failure|fatigue|form (?:fails|breaks))|max(?:imum)? reps?(?:etitions?)?`,
    ),
    'max',
  ],
  [new RegExp(String.raw`\b${SETS}(?: of| x|,)? ?max\b`, 'g'), '$1xmax'],
  [new RegExp(String.raw`\brepeat ?x? ?(${COUNT})(?: times?)?\b`, 'g'), 'x$1'],
  [
    new RegExp(
      String.raw`^(${SPAN}) (each side|left|right|alternating) ?x ?(${COUNT})(?![a-z/%])`,
      'g',
    ),
    '$3x$1 $2',
  ],
  [
    new RegExp(
      String.raw`\b${SETS}(?: of| x|,)? ?(${COUNT})(?! ?(?:%|\/|s\b|min|kg|lb|x))(?: ?${REPS}(?![a-z0-9]))?`,
      'g',
    ),
    '$1x$2',
  ],
  [new RegExp(String.raw`\b${SETS}(?: of| x|,)? ?(${SPAN})`, 'g'), '$1x$2'],
  [
    new RegExp(
      String.raw`\b(${COUNT}) ?(?:repetitions?|reps?\.?) ?(?:x|of|,|for)? ?${SETS}\b`,
      'g',
    ),
    '$2x$1',
  ],
  [
    new RegExp(
      String.raw`\bhold (${SPAN}) ?x ?(${COUNT})(?![0-9a-z/%])(?: ?(?:repetitions?|reps?\.?))?`,
      'g',
    ),
    'x$2 hold $1',
  ],
  [
    new RegExp(
      String.raw`(?<!hold |gap |rest |move )\b(${SPAN}) ?x ?(${COUNT})(?![0-9a-z/%])(?: ?(?:repetitions?|reps?\.?|times?))?`,
      'g',
    ),
    '$2x$1',
  ],
  [new RegExp(String.raw`\b(${COUNT}) ?x ?(${COUNT}) ?(?:repetitions?|reps?\.?)`, 'g'), '$1x$2'],
  [
    new RegExp(
      String.raw`(?<![0-9x-])(${COUNT}) ?(?:repetitions?|reps?\.?|times?)(?![a-z0-9])`,
      'g',
    ),
    'x$1',
  ],
  [
    new RegExp(String.raw`\b(${COUNT})x(?= (?:hold|every|daily|left|right|each|\d+\/day))`, 'g'),
    'x$1',
  ],
  [/\bx ?(\d+(?:-\d+)?) ?(?:repetitions?|reps?\.?)/g, 'x$1'],
];

/** What a line begins with in the grammar. */
const BEGINNING = new RegExp(
  String.raw`(?<![a-z0-9/-])(?:${COUNT} ?x ?${SPAN}|${COUNT} ?x ?${COUNT}(?![0-9%/])|x ?${COUNT}(?![0-9%/])|(?:\d+ ?)?x ?max)(?![a-z0-9-])`,
);

/** Brings what a line begins with to its beginning: "mon 3x10" is "3x10 mon". */
function headFirst(line: string): string {
  const match = BEGINNING.exec(line);
  if (!match || match.index === 0) return line;
  const rest = `${line.slice(0, match.index)} ${line.slice(match.index + match[0].length)}`;
  return `${match[0]} ${rest}`;
}

/**
 * A line as clinicians write it, in the grammar's own words. It says nothing of whether the line can
 * be read.
 *
 * @example inGrammarWords('3 sets of 10, twice a day, L only') // '3x10 2/day left'
 */
export function inGrammarWords(typed: string): string {
  const plain = typed
    .toLowerCase()
    .replace(/[×✕]/g, 'x')
    .replace(/[–—−]/g, '-')
    .replace(/[“”„]/g, '"')
    .replace(/[’‘]/g, "'")
    .replace(/[;,](?=\s|$|[a-z])/g, ' ')
    .replace(/\.(?=\s|$)/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const line = [UNITS, DAYS, TIMES, SIDES, WORK, HEAD]
    .flat()
    .reduce((text, [pattern, becomes]) => text.replace(pattern, becomes as string), plain);
  return headFirst(line).replace(/\s+/g, ' ').trim();
}
