import { doseFrom, doseLine } from '../../../tests/support/dose-lines';
import { asLine, digest, drawnCases } from '../../../tests/support/worked';
import { BOUT_MODES } from '../dose';
import { seconds } from '../units';
import {
  DEFAULT_PACES,
  type Segment,
  resolve,
  sessionSeconds,
  sessionTimeline,
  totalSeconds,
  workIn,
  workOf,
  workSeconds,
} from '.';

const LINES = drawnCases(doseLine, 90, 31);
const OTHER_PACES = Object.fromEntries(
  Object.entries(DEFAULT_PACES).map(([name], i) => [name, seconds(i + 1)]),
) as typeof DEFAULT_PACES;

/** A segment as one word: where it stands, what it is and how it is measured. */
const word = ({
  kind,
  side,
  direction,
  station,
  set,
  rep,
  barrier,
  length,
  beyondLeast,
  work,
  endsRep,
}: Segment) =>
  [
    kind,
    `${side ?? '-'}${direction}.${station}.${set}.${rep}.${barrier}`,
    length.written ? `${length.written.least}-${length.written.most}` : '',
    length.pace ?? '',
    length.paceShare ?? '',
    beyondLeast ? 'beyond' : '',
    work ?? '',
    endsRep ? 'ends' : '',
  ]
    .filter((part) => part !== '')
    .join(',');

it('lays a line out in segments', () => {
  expect(
    LINES.map((line, i) => {
      const mode = BOUT_MODES[i % BOUT_MODES.length] ?? 'held';
      const timeline = sessionTimeline([{ dose: doseFrom(line), mode, position: 'sitting' }]);
      const words = timeline.map(word);
      return asLine(line, mode, words.slice(0, 4).join(' '), words.length, digest(words));
    }),
  ).toMatchSnapshot();
});

it('reckons sessions of several lines and rounds', () => {
  expect(
    LINES.slice(0, 60).map((line, i) => {
      const lines = [line, LINES[i + 1] ?? line, LINES[i + 2] ?? line].map((text, nth) => ({
        dose: doseFrom(text),
        mode: BOUT_MODES[(i + nth) % BOUT_MODES.length] ?? 'held',
        position: ['sitting', 'lying', 'sitting'][nth % 3] ?? '',
      }));
      const timeline = sessionTimeline(lines.slice(0, 1 + (i % 3)), 1 + (i % 2));
      const least = resolve(timeline, 'least');
      const { least: few, most: many } = workOf(timeline, OTHER_PACES);
      return asLine(
        sessionSeconds(timeline),
        sessionSeconds(timeline, OTHER_PACES),
        totalSeconds(least),
        workIn(least),
        [workSeconds(few), workSeconds(many)],
        digest(
          least.map(({ startsAt, seconds: long, line: nth, round }) => [
            startsAt,
            long,
            nth,
            round,
          ]),
        ),
      );
    }),
  ).toMatchSnapshot();
});
