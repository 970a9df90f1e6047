import fc from 'fast-check';
import { SHIPPED } from '@/catalogue';
import { ZONE, recordCase } from '../../../tests/support/record-cases';
import { asLine, digest, drawnCases, rounded } from '../../../tests/support/worked';
import { instantAt, later } from '../schedule';
import { ALERT_KINDS, TRIAGE_LIMITS } from '../triage';
import { addDays } from '../units';
import {
  type MorningFacts,
  morningRow,
  plateauWeeks,
  rowHoldsUntil,
  silentDays,
  triageFacts,
} from '.';

const HOUR = 3_600_000;
const cases = fc.tuple(
  recordCase,
  fc.record({
    alertHours: fc.constantFrom(null, null, null, 1, 3.9, 4, 24, 25),
    kind: fc.constantFrom(...ALERT_KINDS),
    link: fc.constantFrom(null, 'opened', 'opened', 'unopened', 'revoked'),
    closed: fc.nat({ max: 12 }).map((n) => n === 0),
    referred: fc.nat({ max: 9 }).map((n) => n === 0),
    markDays: fc.constantFrom(null, -1, 0, 3),
    markKind: fc.constantFrom('done' as const, 'snoozed' as const, 'back' as const),
    sickRule: fc.constantFrom('', 'ready', 'ease off', 'silent', 'alert'),
    heard: fc.constantFrom(null, 0, 1, 4, 5, 9),
  }),
);

it('rows of whole records', () => {
  expect(
    drawnCases(cases, 36, 12).map(([{ record, today }, more]) => {
      const now = instantAt(ZONE, today, 600 as never);
      const facts: MorningFacts = {
        record,
        complaint: 'neck',
        closed: more.closed,
        alerts:
          more.alertHours === null
            ? []
            : [
                {
                  id: 'a',
                  kind: more.kind,
                  createdAt: later(now, -more.alertHours * HOUR),
                  escalatedAt: null,
                },
              ],
        openReferrals: more.referred ? ['r'] : [],
        link: more.link && {
          createdAt: later(now, -3.2 * 24 * HOUR),
          openedAt: more.link === 'opened' ? now : null,
          revokedAt: more.link === 'revoked' ? now : null,
        },
        mark:
          more.markDays === null
            ? null
            : {
                kind: more.markKind,
                rule: more.sickRule,
                until: addDays(today, more.markDays),
                reason: 'asked',
              },
        lastSession: more.heard === null ? null : addDays(today, -more.heard),
        lastPain: null,
      };
      const context = { limits: TRIAGE_LIMITS, screeningDays: 90, catalogue: SHIPPED, now };
      const row = morningRow(facts, context);
      const { share, shareBefore, ...read } = triageFacts(facts, context);
      return asLine(
        row.level,
        row.rule,
        row.reason,
        row.next,
        row.step,
        row.also,
        row.urgency,
        row.aside,
        row.alerts.map(({ escalated }) => escalated),
        digest(rounded(row.days)),
        rounded([share, shareBefore]),
        read,
        [
          rowHoldsUntil(facts, context) - now,
          silentDays(record, facts.lastSession),
          plateauWeeks(record, share, TRIAGE_LIMITS),
          plateauWeeks(record, share, { plateauWeeks: 3 }),
        ],
      );
    }),
  ).toMatchSnapshot();
});
