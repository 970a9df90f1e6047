import { courseOf, judgedVersion, outlook } from '@/core/outlook';
import { sentVersion } from '@/core/programme';
import { randomUUID } from 'node:crypto';
import { formatDose } from '@/core/dose';
import type { LineDraft, OutcomeLetterDraft } from '@/core/records';
import { addDays } from '@/core/units';
import { auditOf, insertProposalDecision, versionsOf, write } from '@/db';
import { now } from '@/server/clock';
import { limitsOf } from '@/server/follow/outlook';
import { decideProposal, sendAccepted } from '@/server/follow/decide';
import { pastDecisions } from '@/server/follow/decided';
import { proposalsOf, recordOf, shownProposals } from '@/server/follow/proposals';
import { askedOf, questionsFor } from '@/server/patient-questions';
import { factsOf } from '@/server/programme-facts';
import { letterById, signLetter } from '@/server/follow/letter';
import { reviewOf, writeKeepGoing } from '@/server/follow/review';
import { saveEntry } from '@/server/visit/entries';
import { catalogueFor } from '@/server/desk/exercises';
import { setPaused } from '@/server/save-programme';
import { today } from '../support/clinic';
import { type Life, type Told, beginLife, liveOn } from '../support/life';
import { databaseStage, patientOf } from '../support/stage';
import { consent } from '../support/consent';

const stage = databaseStage('proposals');
const lives = new Map<string, Life>();

/** A patient whose programme began ten days ago, and who did its lines on these days. */
async function lived(
  days: readonly Told[],
  lines: Partial<LineDraft>[] = [{}],
  last: Told['morning'] = 'none',
): Promise<string> {
  const life = await beginLife(stage.practitioner, lines);
  lives.set(life.patientId, life);
  await liveOn(life, days, last);
  return life.patientId;
}

/** So many days more of the same patient. */
async function goOn(patientId: string, days: readonly Told[]): Promise<void> {
  const life = lives.get(patientId);
  if (!life) throw new Error('nobody');
  await liveOn(life, days);
}

const view = async (patientId: string) => {
  const found = await proposalsOf(await patientOf(stage, patientId));
  if (!found) throw new Error('no programme');
  return found;
};
const decide = async (
  patientId: string,
  decision: 'accepted' | 'edited' | 'declined',
  more: { dose?: string; reason?: string } = {},
) => {
  const { open, version } = await view(patientId);
  await decideProposal(stage.practitioner, {
    id: randomUUID(),
    patientId,
    key: open[0]?.key ?? 'none',
    version,
    decision,
    dose: more.dose ?? null,
    reason: more.reason ?? '',
  });
};
const send = async (patientId: string) =>
  sendAccepted(stage.practitioner, { patientId, basedOn: 1, effectiveFrom: today(1) });
const versions = async (patientId: string) =>
  ((await versionsOf(stage.practitioner.clinicId, [patientId])).get(patientId) ?? []).map(
    sentVersion,
  );

it('reads a line’s sessions as the phone told them, with the next morning beside each', async () => {
  const patientId = await lived(
    [{}, { morning: 'still sore', pain: 4, effort: 8 }, {}],
    [{}],
    'untold',
  );
  const record = await recordOf(await patientOf(stage, patientId));
  const [line] = judgedVersion(record)?.lines ?? [];
  if (!line) throw new Error('no line');
  const { course } = courseOf(record, line, (await catalogueFor(stage.practitioner.clinicId)).byId);
  expect(course.flatMap(({ sessions }) => sessions)).toMatchObject([
    { share: 1, sets: [2], hold: 3, pain: 1, nextMorning: 'still sore', stopped: 'no' },
    { pain: 4, effort: 8, nextMorning: 'none' },
    { pain: 1, effort: 4, nextMorning: null },
  ]);
});

it('proposes the next hold after three good sessions, and nothing after two', async () => {
  expect((await view(await lived([{}, {}]))).open).toEqual([]);
  const { open, weighed, stays } = await view(await lived([{}, {}, {}]));
  expect(open).toMatchObject([
    { move: 'advance hold', to: 'x2 hold 5s gap 3s daily', exercise: { id: 'tuck-lighten' } },
  ]);
  expect(open[0]?.why).toContain('3 good sessions in a row');
  expect(weighed.withAll).toBeGreaterThan(weighed.now);
  expect(stays).toEqual([]);
});

it('gathers what is accepted into the next version, with its differences as the reason', async () => {
  const patientId = await lived([{}, {}, {}]);
  await decide(patientId, 'accepted');
  const waiting = await view(patientId);
  expect(waiting).toMatchObject({ open: [], waiting: [{ decision: 'accepted' }] });
  expect(waiting.difference[0]).toContain('hold 3s → ');
  await expect(send(patientId)).resolves.toEqual({ number: 2, effectiveFrom: today(1) });
  const [first, second] = await versions(patientId);
  expect(second?.lines[0]).toMatchObject({
    lineage: first?.lines[0]?.lineage,
    text: 'x2 hold 5s gap 3s daily',
    school: { id: 'lengthen' },
  });
  expect(second?.reason).toContain('Accepted proposals');
  // The old sessions were under the old dose: they propose nothing for the new one.
  expect((await view(patientId)).open).toEqual([]);
  await expect(send(patientId)).rejects.toMatchObject({ status: 409 });
  const verbs = (await auditOf(stage.practitioner.clinicId, patientId)).map(({ verb }) => verb);
  expect(verbs).toContain('accepted a proposal of');
});

it.each([
  ['keeps the day of its review', 1, 1],
  ['has no review that was before it', 0, null],
] as const)('the version of what is accepted %s', async (_, day, kept) => {
  const life = await beginLife(stage.practitioner, [{}], { reviewOn: today(day) });
  await liveOn(life, [{}, {}, {}]);
  await decide(life.patientId, 'accepted');
  await send(life.patientId);
  expect((await versions(life.patientId)).map(({ reviewOn }) => reviewOn)).toEqual([
    today(day),
    kept === null ? null : today(kept),
  ]);
});

it('takes an edited dose line instead, and refuses one that cannot be read', async () => {
  const patientId = await lived([{}, {}, {}]);
  await expect(decide(patientId, 'edited', { dose: 'x2 hold 4' })).rejects.toMatchObject({
    status: 400,
  });
  await decide(patientId, 'edited', { dose: 'x2 hold 4s gap 3s daily', reason: 'smaller step' });
  await send(patientId);
  expect((await versions(patientId))[1]?.lines[0]?.text).toBe('x2 hold 4s gap 3s daily');
});

it('a decision sent again is the same one, and with another dose or about another proposal it is not', async () => {
  const patientId = await lived([{}, {}, {}]);
  const { open, version } = await view(patientId);
  const draft = {
    id: randomUUID(),
    patientId,
    key: open[0]?.key ?? 'none',
    version,
    decision: 'edited',
    dose: 'x2 hold 4s gap 3s daily',
    reason: 'smaller step',
  } as const;
  await decideProposal(stage.practitioner, draft);
  await decideProposal(stage.practitioner, draft);
  for (const other of [
    { dose: 'x3 hold 4s gap 3s daily' },
    { key: 'another' },
    { reason: 'another' },
    { version: version + 1 },
  ])
    await expect(decideProposal(stage.practitioner, { ...draft, ...other })).rejects.toMatchObject({
      status: 409,
    });
});

it('keeps a declined one from coming back while nothing has changed', async () => {
  const patientId = await lived([{}, {}, {}]);
  await decide(patientId, 'declined', { reason: 'wait for the review' });
  expect((await view(patientId)).open).toEqual([]);
  await expect(send(patientId)).rejects.toMatchObject({ status: 400 });
  const patient = await patientOf(stage, patientId);
  expect(await pastDecisions(patient, await recordOf(patient))).toMatchObject([
    { row: { decision: 'declined', reason: 'wait for the review' }, after: null },
  ]);
});

it('takes an accepted one back until its version is written: it is open again, and the record keeps both', async () => {
  const patientId = await lived([{}, {}, {}]);
  await decide(patientId, 'accepted');
  const { waiting, version } = await view(patientId);
  const takeBack = () =>
    decideProposal(stage.practitioner, {
      id: randomUUID(),
      patientId,
      key: waiting[0]?.key ?? 'none',
      version,
      decision: 'taken back',
      dose: null,
      reason: '',
    });
  await takeBack();
  expect(await view(patientId)).toMatchObject({ waiting: [], open: [{ key: waiting[0]?.key }] });
  const patient = await patientOf(stage, patientId);
  const past = await pastDecisions(patient, await recordOf(patient));
  expect(past.map(({ row }) => row.decision)).toEqual(['taken back', 'accepted']);
  await expect(takeBack()).rejects.toMatchObject({ status: 409 });
  await decide(patientId, 'accepted');
  await send(patientId);
  expect(await versions(patientId)).toHaveLength(2);
});

it('refuses a decision on what the record does not propose', async () => {
  const patientId = await lived([{}]);
  await expect(decide(patientId, 'accepted')).rejects.toMatchObject({ status: 409 });
});

it('steps back after red pain, and stops a line until the programme goes on', async () => {
  const red = await view(await lived([{}, {}, { pain: 7 }]));
  expect(red.open).toMatchObject([{ move: expect.stringMatching(/step back|rest day/) as string }]);
  const patientId = await lived([{}, {}, { stopped: true }]);
  expect((await view(patientId)).open).toMatchObject([{ move: 'stop', to: null }]);
  await setPaused(stage.practitioner, patientId, false);
  expect((await view(patientId)).open).toEqual([]);
});

describe('an earlier decision hides nothing that comes after it', () => {
  it('a declined step back comes again with a new pain, and not without', async () => {
    const patientId = await lived([{}, { pain: 8 }]);
    await decide(patientId, 'declined', { reason: 'slept badly' });
    expect((await view(patientId)).open).toEqual([]);
    await goOn(patientId, [{ pain: 2 }, { pain: 9 }]);
    const { open } = await view(patientId);
    expect(open).toMatchObject([{ move: 'step back' }]);
    expect(open[0]?.why).toContain('Pain 9 of 10');
  });

  it('a session left out on advice waits for no version, and the next flare is proposed', async () => {
    const once = { exerciseId: 'nod-on-ball', dose: 'x1 every 3 days', school: null };
    const patientId = await lived([{ pain: 7 }], [once]);
    const { open } = await view(patientId);
    expect(open).toMatchObject([{ move: 'rest day', to: null }]);
    await decide(patientId, 'accepted');
    expect(await view(patientId)).toMatchObject({ open: [], waiting: [] });
    await goOn(patientId, [{}, {}, { pain: 8 }]);
    expect((await view(patientId)).open).toMatchObject([{ move: 'rest day' }]);
  });

  it('what goes wrong while growth waits is decided on before anything is written', async () => {
    const patientId = await lived([{}, {}, {}]);
    await decide(patientId, 'accepted');
    await goOn(patientId, [{ pain: 8 }]);
    expect(await view(patientId)).toMatchObject({
      open: [{ move: 'step back' }],
      waiting: [{ move: 'advance hold' }],
    });
    const shown = await shownProposals(await patientOf(stage, patientId));
    expect(shown?.undecided).toEqual(['Tuck and lighten']);
    await expect(send(patientId)).rejects.toMatchObject({
      status: 409,
      say: expect.stringContaining('decide on that first') as string,
    });
    await decide(patientId, 'accepted');
    // The step back is the line's newest word.
    expect((await view(patientId)).waiting).toMatchObject([{ move: 'step back' }]);
    await send(patientId);
    expect((await versions(patientId))[1]?.lines[0]?.text).toBe('x2 hold 1s gap 3s daily');
  });

  it('a decision from before events were kept is read, and decides what happened before its day', async () => {
    const patientId = await lived([{}, { pain: 8 }]);
    const { open } = await view(patientId);
    const [first] = open;
    if (!first) throw new Error('nothing is proposed');
    await write(() =>
      insertProposalDecision({
        clinicId: stage.practitioner.clinicId,
        id: randomUUID(),
        patientId,
        createdAt: now(),
        authorId: stage.practitioner.id,
        key: 'tuck | step back | x2 hold 3s | x2 hold 1s |',
        lineage: first.lineage,
        version: 1,
        move: 'step back',
        exerciseId: first.exercise.id,
        fromDose: first.from,
        toDose: first.to,
        toExerciseId: null,
        event: null,
        asks: null,
        decision: 'declined',
        reason: 'slept badly',
        why: first.why,
        localDate: addDays(today(), -8),
      }),
    );
    expect((await view(patientId)).open).toEqual([]);
    await goOn(patientId, [{}, { pain: 9 }]);
    expect((await view(patientId)).open).toMatchObject([{ move: 'step back' }]);
  });
});

describe('what is missing is asked for', () => {
  const percents = {
    exerciseId: 'band-row',
    dose: '3x10 50/75/100% 10rm rest 2min daily',
    school: {
      id: 'ascending',
      settings: { holds: [], tenRepMaximum: null, unit: 'kg' },
    },
  } as const;

  it('once, and the patient’s phone asks it', async () => {
    const patientId = await lived([{}, {}, {}], [percents]);
    const { open } = await view(patientId);
    expect(open).toMatchObject([{ move: 'ask', asks: 'ten-rep maximum', to: null }]);
    const asks = async () => {
      const patient = await patientOf(stage, patientId);
      const [facts] = await factsOf(patient.clinicId, [patient], addDays(today(), -14), today());
      if (!facts) throw new Error('no facts');
      return questionsFor(facts, await askedOf(patient), today()).questions.asks;
    };
    expect(await asks()).toEqual([]);
    await decide(patientId, 'accepted');
    expect(await asks()).toEqual([{ what: 'ten-rep maximum', line: expect.any(String) as string }]);
    expect(await view(patientId)).toMatchObject({ open: [], waiting: [] });
    expect((await view(patientId)).stays[0]?.why).toContain('the answer is not there yet');
  });

  it('a load that has to be chosen is not accepted, but taken', async () => {
    const line = {
      exerciseId: 'straight-leg-raise',
      dose: '3x15 2kg left daily',
      school: { id: 'volume-load', settings: { holds: [], tenRepMaximum: null, unit: 'kg' } },
    } as const;
    const patientId = await lived([{}, {}, {}], [line]);
    await saveEntry(stage.practitioner, {
      id: randomUUID(),
      patientId,
      kind: 'home',
      supersedes: null,
      on: today(),
      body: { props: [], weights: [2, 6], unit: 'kg', cannot: [], busy: [] },
    });
    const { open } = await view(patientId);
    expect(open).toMatchObject([{ move: 'choose load', to: null }]);
    expect(open[0]?.why).toContain('Asked: 6 kg');
    await expect(decide(patientId, 'accepted')).rejects.toMatchObject({ status: 400 });
    const [choice] = open[0]?.choices ?? [];
    await decide(patientId, 'edited', { dose: choice ? formatDose(choice.dose) : '' });
    expect((await view(patientId)).waiting).toMatchObject([{ decision: 'edited' }]);
  });
});

it('never proposes because of a skip, and tells every line why it stays', async () => {
  const { open, stays } = await view(await lived([{}, { skipped: 'no time' }, {}]));
  expect(open).toEqual([]);
  expect(stays[0]?.why).toContain('2 of 3 good sessions');
});

it('makes the same of one patient as of many at once', async () => {
  const ids = [await lived([{}, {}, {}]), await lived([{}, { pain: 8 }])];
  const patients = await Promise.all(ids.map((id) => patientOf(stage, id)));
  const { followRecords } = await import('@/server/follow/outlook');
  const { clinicId } = stage.practitioner;
  const catalogue = await catalogueFor(clinicId);
  const many = await followRecords(clinicId, patients, addDays(today(), -42), today());
  for (const [index, record] of many.entries()) {
    const alone = await recordOf(patients[index] as (typeof patients)[number]);
    const limits = limitsOf(null);
    expect(outlook(record, catalogue, limits)).toEqual(outlook(alone, catalogue, limits));
  }
});

describe('the letter', () => {
  const sign = async (patientId: string, change: Partial<OutcomeLetterDraft> = {}) => {
    const id = randomUUID();
    await signLetter(stage.practitioner, {
      id,
      patientId,
      kind: 'review',
      words: 'Κάλο Wörter',
      forReferrer: false,
      ...change,
    });
    return letterById(await patientOf(stage, patientId), id);
  };

  it('holds the numbers of the record and the practitioner’s own words', async () => {
    const patientId = await lived([{}, {}, {}]);
    const found = await sign(patientId);
    if (!found) throw new Error('no letter');
    expect(found.letter.paragraphs).toContainEqual(expect.stringMatching(/^You did 3 of /));
    expect(found.letter.words).toBe('Κάλο Wörter');
    // It is nobody else's letter, and no letter that is not there.
    const another = await patientOf(stage, await lived([{}]));
    expect(await letterById(another, found.row.id)).toBeNull();
    expect(await letterById(await patientOf(stage, patientId), randomUUID())).toBeNull();
  });

  it('goes to the referrer only with consent', async () => {
    const patientId = await lived([{}]);
    await expect(sign(patientId, { forReferrer: true })).rejects.toMatchObject({ status: 409 });
    await consent(stage.practitioner, patientId, { sharing: true });
    expect((await sign(patientId, { forReferrer: true }))?.letter.paragraphs[0]).toMatch(
      / was with us/,
    );
  });

  it('at discharge closes the episode, after the keep-going programme', async () => {
    const patientId = await lived([{}]);
    await writeKeepGoing(stage.practitioner, { patientId, basedOn: 1 });
    await expect(
      writeKeepGoing(stage.practitioner, { patientId, basedOn: 1 }),
    ).rejects.toMatchObject({ status: 409 });
    expect((await versions(patientId))[1]?.lines[0]?.text).toBe(
      'x2 hold 3s gap 3s every other day',
    );
    await sign(patientId, { kind: 'discharge' });
    const review = await reviewOf(stage.practitioner, await patientOf(stage, patientId));
    expect(review).toMatchObject({ discharged: true, letters: [{ kind: 'discharge' }] });
  });
});
