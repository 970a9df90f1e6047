import { SHIPPED } from '@/catalogue';
import { FIRST } from '../../../tests/support/programme-cases';
import { recordCase } from '../../../tests/support/record-cases';
import { asLine, digest, drawnCases, rounded } from '../../../tests/support/worked';
import { adherenceHistory } from '../history';
import { addDays } from '../units';
import {
  circumstancesIn,
  judgedVersion,
  limbSeries,
  limbsOf,
  logsOf,
  openProposals,
  outlook,
  sameSince,
  standingDecisions,
  stripsOf,
  waitingIn,
} from '.';

const CASES = drawnCases(recordCase, 32, 8);

it('what the logs of whole records ask for', () => {
  expect(
    CASES.map(({ record }) => {
      const version = judgedVersion(record);
      const outlooks = outlook(record, SHIPPED, { goodSessions: 3 });
      return asLine(
        version?.number ?? null,
        (version?.lines ?? []).map(
          (line) =>
            `${line.text}: ${sameSince(record.facts, line)}, ${logsOf(record, line).length} logs ${digest(rounded(logsOf(record, line)))}`,
        ),
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
      const outlooks = outlook(record, SHIPPED, { goodSessions: 2 });
      const open = openProposals(record, outlooks);
      const [first] = open;
      if (!first) return [];
      const version = judgedVersion(record)?.number ?? 0;
      return (['accepted', 'edited', 'declined', 'taken back'] as const).map((decision) => {
        const decisions = [
          { key: first.key, lineage: first.lineage, version, decision },
          { key: 'x', lineage: 'x', version: version - 1, decision: 'accepted' as const },
        ];
        return asLine(
          decision,
          openProposals({ ...record, decisions }, outlooks).length,
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
