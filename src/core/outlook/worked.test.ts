import { SHIPPED } from '@/catalogue';
import { FIRST } from '../../../tests/support/programme-cases';
import { recordCase } from '../../../tests/support/record-cases';
import { asLine, digest, drawnCases, rounded } from '../../../tests/support/worked';
import { adherenceHistory } from '../history';
import { addDays } from '../units';
import {
  circumstancesIn,
  courseOf,
  judgedVersion,
  limbSeries,
  limbsOf,
  openProposals,
  outlook,
  standingDecisions,
  stripsOf,
  waitingIn,
} from '.';

const CASES = drawnCases(recordCase, 32, 8);

it('what the logs of whole records ask for', () => {
  expect(
    CASES.map(({ record }) => {
      const version = judgedVersion(record);
      const outlooks = outlook(record, SHIPPED, { goodSessions: 3, leastRungDays: 7 });
      return asLine(
        version?.number ?? null,
        (version?.lines ?? []).map((line) => {
          const { course } = courseOf(record, line, SHIPPED.byId);
          const logs = course.flatMap(({ sessions }) => sessions);
          return `${line.text}: ${course.map(({ from }) => from).join()}, ${logs.length} logs ${digest(rounded(logs))}`;
        }),
        outlooks.map((one) =>
          one.kind === 'proposal' ? `${one.proposal.key}: ${one.proposal.why}` : one.step.why,
        ),
        limbsOf(record).map(({ say }) => say),
        limbSeries(record.reports).map(
          ({ limb, readings }) => `${limb.side} ${limb.chain} ${readings.length}`,
        ),
        circumstancesIn(record),
      );
    }),
  ).toMatchSnapshot();
});

it('what is left to decide after decisions', () => {
  expect(
    CASES.flatMap(({ record }) => {
      const outlooks = outlook(record, SHIPPED, { goodSessions: 2, leastRungDays: 7 });
      const open = openProposals(record, outlooks);
      const [first] = open;
      if (!first) return [];
      const version = judgedVersion(record)?.number ?? 0;
      return (['accepted', 'edited', 'declined', 'taken back'] as const).map((decision) => {
        const decisions = [
          {
            ...first,
            version,
            decision,
            toDose: first.to,
            toExerciseId: null,
            localDate: record.facts.today,
          },
          {
            ...first,
            key: 'x',
            lineage: 'x',
            version: version - 1,
            decision: 'accepted' as const,
            toDose: 'x10',
            toExerciseId: null,
            localDate: record.facts.today,
          },
        ];
        return asLine(
          decision,
          openProposals(
            { ...record, decisions },
            outlook({ ...record, decisions }, SHIPPED, { goodSessions: 2, leastRungDays: 7 }),
          ).length,
          open.length,
          standingDecisions(decisions, version).length,
          waitingIn({ decisions }, version).length,
        );
      });
    }),
  ).toMatchSnapshot();
});

it('strips', () => {
  expect(
    CASES.slice(0, 30).map(({ record, today }) => {
      const from = addDays(FIRST, 3);
      const days = adherenceHistory(record.facts, from, today);
      const measures = (
        [
          [0, 40],
          [5, 44],
          [9, 60],
        ] as const
      ).map(([day, value]) => ({
        kind: 'neck-turn' as const,
        side: 'left' as const,
        value,
        on: addDays(FIRST, day),
      }));
      const strips = stripsOf(record, days, measures, from);
      return asLine(
        strips.map(({ id, kind, name }) => `${id} ${kind} ${name}`),
        digest(rounded(strips)),
      );
    }),
  ).toMatchSnapshot();
});
