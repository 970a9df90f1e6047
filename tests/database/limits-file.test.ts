import { read } from '@/db/door';
import { auditEvent } from '@/db/schema';
import { limitsFileText } from '@/core/exchange';
import { TRIAGE_LIMITS } from '@/core/triage';
import { clinicOf } from '@/server/clinic';
import { triageLimitsOf } from '@/server/follow/marks';
import { limitsFile, previewLimits, takeLimits } from '@/server/limits-file';
import { makeClinic, member, ownDomain } from '../support/clinic';
import { databaseStage } from '../support/stage';

/** A clinic's limits travel to another clinic as a file. */
const stage = databaseStage('limits-file');

const OWN = limitsFileText({
  limits: { ...TRIAGE_LIMITS, painOver: 5 },
  detectable: { 'neck-turn': { margin: { by: 7 }, source: 'Our own' } },
  bands: [
    {
      name: 'firm',
      points: [
        { stretchPercent: 0, newtons: 0 },
        { stretchPercent: 100, newtons: 40 },
      ],
    },
  ],
});

async function seen(text: string) {
  const preview = await previewLimits(stage.lead, text);
  if (preview.kind !== 'right') throw new Error(preview.problems.join(' '));
  return preview;
}

it('is looked at, taken whole, and the same in the clinic it came to', async () => {
  const preview = await seen(OWN);
  expect(preview.changes).toHaveLength(3);
  // Looking wrote nothing.
  expect((await triageLimitsOf(stage.lead.clinicId)).painOver).toBe(TRIAGE_LIMITS.painOver);
  await takeLimits(stage.lead, { text: OWN, over: preview.over });
  expect((await limitsFile(stage.lead)).text).toBe(OWN);
  expect((await triageLimitsOf(stage.lead.clinicId)).painOver).toBe(5);
  // Sent again it changes nothing, and leaves no second event.
  await takeLimits(stage.lead, { text: OWN, over: preview.over });
  const verbs = await read((db) => db.select({ verb: auditEvent.verb }).from(auditEvent));
  expect(verbs.filter(({ verb }) => verb.includes('limits'))).toHaveLength(1);
  expect((await seen(OWN)).changes).toEqual([]);
  // Another clinic's stays as it was.
  const { emails } = await makeClinic('hill', ownDomain());
  const other = await member(emails.lead);
  expect((await clinicOf(other)).bands).toEqual([]);
});

it('is not taken over what somebody changed since it was looked at', async () => {
  const first = limitsFileText({ limits: TRIAGE_LIMITS, detectable: {}, bands: [] });
  const { over } = await seen(first);
  const between = limitsFileText({
    limits: { ...TRIAGE_LIMITS, flares: 2 },
    detectable: {},
    bands: [],
  });
  await takeLimits(stage.lead, { text: between, over: (await seen(between)).over });
  await expect(takeLimits(stage.lead, { text: first, over })).rejects.toMatchObject({
    status: 409,
  });
  expect((await triageLimitsOf(stage.lead.clinicId)).flares).toBe(2);
});

it('is taken by the lead alone, and never half', async () => {
  const { over } = await seen(OWN);
  await expect(takeLimits(stage.practitioner, { text: OWN, over })).rejects.toThrow();
  const half = OWN.replace('"newtons": 40', '"newtons": -1');
  expect(await previewLimits(stage.lead, half)).toMatchObject({ kind: 'wrong' });
  await expect(takeLimits(stage.lead, { text: half, over })).rejects.toMatchObject({ status: 400 });
  expect((await triageLimitsOf(stage.lead.clinicId)).painOver).toBe(TRIAGE_LIMITS.painOver);
});
