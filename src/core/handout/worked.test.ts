import { FIRST, plannedLines } from '../../../tests/support/programme-cases';
import { asLine, drawnCases } from '../../../tests/support/worked';
import { formatDose } from '../dose';
import { addDays } from '../units';
import { missingLetters, weekTable } from '.';

it('weeks of any programme', () => {
  const hours = { wake: 420 as never, sleep: 1320 as never };
  expect(
    drawnCases(plannedLines, 30).map((lines, i) => {
      const { days, rows } = weekTable(
        lines,
        addDays(FIRST, i % 5),
        hours,
        i % 3 ? null : addDays(FIRST, 4),
      );
      return asLine(
        days.at(-1),
        rows.map(
          ({ line, due, asNeeded }) =>
            `${formatDose(line.dose)}: ${due.join(' ')}${asNeeded ? ' as needed' : ''}`,
        ),
      );
    }),
  ).toMatchSnapshot();
  expect([
    missingLetters('', () => false),
    missingLetters('ab a', () => false),
    missingLetters('ab a', (code) => code === 97),
  ]).toMatchSnapshot();
});
