import { randomUUID } from 'node:crypto';
import { addDays } from '@/core/units';
import type { QuestionId } from '@/core/screen';
import { auditOf, openAlertsOf } from '@/db';
import { setClock } from '@/server/clock';
import { morningList } from '@/server/morning-list';
import { saveProgramme } from '@/server/save-programme';
import { fileOf, saveEntry, withdrawEntry } from '@/server/visit/entries';
import { decideFinding, findingList } from '@/server/visit/findings';
import {
  detectableChangesOf,
  latestMeasures,
  saveMeasurements,
  setDetectable,
  sheetOf,
  withdrawMeasurement,
} from '@/server/visit/measuring';
import { answerReferral, letterFor, referralsOf, saveReferral } from '@/server/visit/referral';
import {
  asksForOwnScreening,
  decideScreening,
  saveOwnScreening,
  saveScreening,
  screeningState,
} from '@/server/visit/screening';
import { device, makePatient, prescribe, screened, today } from '../support/clinic';
import { databaseStage, measure, patientOf, screening } from '../support/stage';

const stage = databaseStage('visit');
const PROGRAMME = [{ exerciseId: 'tuck-lying', dose: '10x10s' }];

describe('a screening', () => {
  it('lets prescribing go ahead, with its precautions kept', async () => {
    const id = await makePatient(stage.practitioner);
    await saveScreening(stage.practitioner, screening(id, ['latex']));
    const state = await screeningState(await patientOf(stage, id));
    expect(state).toMatchObject({ outcome: 'precautions', precautions: ['latex'], blocked: false });
    await prescribe(stage.practitioner, id, PROGRAMME);
  });

  it('blocks prescribing until a stage.practitioner records what was done and why', async () => {
    const id = await makePatient(stage.practitioner);
    const draft = screening(id, ['fever']);
    await saveScreening(stage.practitioner, draft);
    await expect(prescribe(stage.practitioner, id, PROGRAMME)).rejects.toMatchObject({
      guard: 'screening',
    });
    const decision = {
      id: randomUUID(),
      patientId: id,
      screeningId: draft.id,
      action: 'opinion received' as const,
      what: 'Seen by the physician',
      why: 'A cold, no spinal infection',
      mayPrescribe: false,
    };
    const blocked = async () => (await screeningState(await patientOf(stage, id))).blocked;
    expect(await blocked()).toBe(true);
    await decideScreening(stage.practitioner, decision);
    expect(await blocked()).toBe(true);
    await expect(prescribe(stage.practitioner, id, PROGRAMME)).rejects.toMatchObject({
      guard: 'screening',
    });
    await expect(
      decideScreening(stage.assistant, { ...decision, id: randomUUID(), mayPrescribe: true }),
    ).rejects.toMatchObject({ guard: 'access' });
    await decideScreening(stage.practitioner, {
      ...decision,
      id: randomUUID(),
      mayPrescribe: true,
    });
    expect(await blocked()).toBe(false);
    await prescribe(stage.practitioner, id, PROGRAMME);
    // A newer screening that blocks, blocks again; the old decision does not reach it.
    await saveScreening(stage.practitioner, screening(id, ['fever']));
    await expect(
      prescribe(stage.practitioner, id, PROGRAMME, { basedOn: 1 }),
    ).rejects.toMatchObject({
      guard: 'screening',
    });
  });

  it('counts once a stage.practitioner stands behind it: an assistant’s waits', async () => {
    const id = await makePatient(stage.practitioner);
    const answer = await saveScreening(stage.assistant, screening(id, ['cancer']));
    expect(answer).toEqual({ outcome: 'refer', confirmed: false });
    const state = await screeningState(await patientOf(stage, id));
    expect([state.current, state.blocked, state.waiting?.byPatient]).toEqual([null, false, false]);
  });

  it('is not confirmed while something is unanswered', async () => {
    const id = await makePatient(stage.practitioner);
    const draft = { ...screening(id, []), answers: { fever: 'no' as const } };
    expect(await saveScreening(stage.practitioner, draft)).toEqual({
      outcome: 'unfinished',
      confirmed: false,
    });
  });

  it('is stored once however often it is sent, and asks to be redone when old', async () => {
    const id = await makePatient(stage.practitioner);
    const draft = screening(id, []);
    await saveScreening(stage.practitioner, draft);
    await saveScreening(stage.practitioner, draft);
    expect(await auditOf(stage.practitioner.clinicId, draft.id)).toHaveLength(1);
    await expect(
      saveScreening(stage.practitioner, screening(id, ['fever'], draft.id)),
    ).rejects.toThrow('already there');
    const patient = await patientOf(stage, id);
    expect((await screeningState(patient)).old).toBe(false);
    const later = Date.now() + 91 * 86_400_000;
    setClock(() => later);
    expect((await screeningState(patient)).old).toBe(true);
    expect(await asksForOwnScreening(patient)).toBe(true);
    setClock(null);
  });

  it('filled by the patient waits, tells how soon to act, and raises an alert', async () => {
    const id = await makePatient(stage.practitioner);
    const here = await device(stage.practitioner, id);
    const own = (yes: QuestionId[]) => {
      const { answers, age } = screening(id, yes);
      return { id: randomUUID(), answers, age };
    };
    expect(await saveOwnScreening(here, own(['latex']))).toEqual({ urgency: null });
    expect(await openAlertsOf(here.clinicId, [id])).toEqual([]);
    expect(await asksForOwnScreening(await patientOf(stage, id))).toBe(false);
    expect(await saveOwnScreening(here, own(['saddle-numbness']))).toEqual({
      urgency: 'emergency',
    });
    expect((await openAlertsOf(here.clinicId, [id])).map((alert) => alert.kind)).toEqual([
      'health answers',
    ]);
    const state = await screeningState(await patientOf(stage, id));
    expect([state.current, state.waiting?.byPatient]).toEqual([null, true]);
    await saveScreening(stage.practitioner, {
      ...screening(id, ['saddle-numbness']),
      fromId: state.waiting?.id ?? null,
    });
    expect((await screeningState(await patientOf(stage, id))).blocked).toBe(true);
  });
});

describe('a referral', () => {
  it('is written from the record and open until an answer is recorded', async () => {
    const id = await makePatient(stage.practitioner, 'Wren Tarbuck');
    const draft = screening(id, ['clumsy-hands']);
    await saveScreening(stage.practitioner, draft);
    await saveMeasurements(stage.practitioner, { patientId: id, measurements: [measure({})] });
    const patient = await patientOf(stage, id);
    const { current } = await screeningState(patient);
    if (!current) throw new Error('no screening');
    const text = await letterFor(stage.practitioner, patient, 'Neck', current);
    expect(text).toContain('Wren Tarbuck came to us with: Neck.');
    expect(text).toContain('Clumsy hands, or symptoms in both arms.');
    expect(text).toContain('Neck turn left: 60°');
    expect(text).toContain('No home exercise has been prescribed.');
    const referralId = randomUUID();
    const letter = { id: referralId, patientId: id, screeningId: draft.id, to: 'Dr', text };
    await saveReferral(stage.practitioner, letter);
    await saveReferral(stage.practitioner, letter);
    expect((await screeningState(patient)).openReferrals).toBe(1);
    const list = await morningList(stage.practitioner, {
      search: 'Wren',
      practitionerId: null,
      group: null,
      page: 1,
    });
    expect(list.groups.flatMap(({ rows }) => rows)[0]?.reason).toBe(
      'Referred; no answer is recorded yet.',
    );
    const answer = { id: randomUUID(), patientId: id, referralId, text: 'No compression.' };
    await expect(
      answerReferral(stage.practitioner, { ...answer, answeredOn: today(1) }),
    ).rejects.toMatchObject({ say: 'The answer cannot be of a day to come.' });
    await answerReferral(stage.practitioner, { ...answer, answeredOn: today() });
    expect((await screeningState(patient)).openReferrals).toBe(0);
    expect((await referralsOf(patient))[0]?.answers[0]?.text).toBe('No compression.');
    await expect(
      saveReferral(stage.assistant, { ...letter, id: randomUUID() }),
    ).rejects.toMatchObject({
      guard: 'access',
    });
  });
});

describe('the file', () => {
  const consent = {
    exercise: true,
    photos: true,
    sharing: false,
    learning: false,
    minor: false,
    guardian: '',
  };

  it('supersedes instead of overwriting, once, and takes out without losing', async () => {
    const id = await makePatient(stage.practitioner);
    const patient = await patientOf(stage, id);
    const first = randomUUID();
    const goal = (activity: string) => ({ activity, by: null, reachedOn: null });
    const entry = { patientId: id, kind: 'goal' as const, on: today() };
    await saveEntry(stage.assistant, { ...entry, id: first, supersedes: null, body: goal('row') });
    await saveEntry(stage.assistant, {
      ...entry,
      id: randomUUID(),
      supersedes: first,
      body: goal('sail'),
    });
    expect((await fileOf(patient)).goals.map((one) => one.body.activity)).toEqual(['sail']);
    await expect(
      saveEntry(stage.assistant, {
        ...entry,
        id: randomUUID(),
        supersedes: first,
        body: goal('run'),
      }),
    ).rejects.toMatchObject({ guard: 'newest' });
    const [current] = (await fileOf(patient)).goals;
    await withdrawEntry(stage.assistant, {
      id: randomUUID(),
      patientId: id,
      supersedes: current?.id ?? '',
    });
    expect((await fileOf(patient)).goals).toEqual([]);
  });

  it('refuses entries of a day to come, of another patient, and a minor without a guardian', async () => {
    const [id, other] = [
      await makePatient(stage.practitioner),
      await makePatient(stage.practitioner),
    ];
    const entry = { id: randomUUID(), patientId: id, supersedes: null, on: today() };
    const care = { kind: 'care' as const, body: { kind: 'injection' as const, what: 'x' } };
    await expect(
      saveEntry(stage.practitioner, { ...entry, ...care, on: today(1) }),
    ).rejects.toMatchObject({
      say: 'An entry cannot be of a day to come.',
    });
    await saveEntry(stage.practitioner, { ...entry, ...care });
    await expect(
      withdrawEntry(stage.practitioner, {
        id: randomUUID(),
        patientId: other,
        supersedes: entry.id,
      }),
    ).rejects.toMatchObject({ status: 404 });
    await saveScreening(stage.practitioner, { ...screening(id, []), age: 15 });
    await expect(
      saveEntry(stage.practitioner, { ...entry, id: randomUUID(), kind: 'consent', body: consent }),
    ).rejects.toMatchObject({ say: expect.stringContaining('15 years') as string });
  });
});

describe('measurements', () => {
  it('tell the change since last and since first', async () => {
    const id = await makePatient(stage.practitioner);
    const patient = await patientOf(stage, id);
    for (const trials of [[50, 52, 54], [58], [63]])
      await saveMeasurements(stage.assistant, {
        patientId: id,
        measurements: [measure({ trials })],
      });
    const { series } = await sheetOf(patient);
    expect(series).toHaveLength(1);
    expect(series[0]).toMatchObject({
      count: 3,
      first: { value: 52 },
      sinceLast: { difference: 5, real: false },
      sinceFirst: { difference: 11, real: true, direction: 'better' },
    });
    await setDetectable(stage.lead, {
      kind: 'neck-turn',
      own: { margin: { by: 15 }, source: 'our own repeats' },
    });
    expect((await sheetOf(patient)).series[0]?.sinceFirst?.real).toBe(false);
    await setDetectable(stage.lead, { kind: 'neck-turn', own: null });
    expect(await detectableChangesOf(stage.lead.clinicId)).toEqual({});
  });

  it('are corrected or taken out by a later row, never changed', async () => {
    const id = await makePatient(stage.practitioner);
    const patient = await patientOf(stage, id);
    const wrong = measure({ trials: [16] });
    await saveMeasurements(stage.assistant, { patientId: id, measurements: [wrong] });
    const right = measure({ trials: [61], supersedes: wrong.id });
    await saveMeasurements(stage.assistant, { patientId: id, measurements: [right] });
    await saveMeasurements(stage.assistant, { patientId: id, measurements: [right] });
    expect((await latestMeasures(patient)).map((one) => one.value)).toEqual([61]);
    await expect(
      saveMeasurements(stage.assistant, {
        patientId: id,
        measurements: [measure({ supersedes: wrong.id })],
      }),
    ).rejects.toMatchObject({ status: 409 });
    await withdrawMeasurement(stage.assistant, {
      id: randomUUID(),
      patientId: id,
      supersedes: right.id,
    });
    expect(await latestMeasures(patient)).toEqual([]);
  });

  it('of new weakness raise an alert, whatever the pain does', async () => {
    const id = await makePatient(stage.practitioner);
    const exam = (strength: number) =>
      measure({
        kind: 'nerve-examination',
        side: null,
        trials: [],
        body: {
          form: 'nerve',
          tension: [],
          levels: [{ level: 'C7', side: 'right', strength, feeling: null, reflex: null }],
        },
      });
    const alerts = async () => (await openAlertsOf(stage.practitioner.clinicId, [id])).length;
    await saveMeasurements(stage.practitioner, { patientId: id, measurements: [exam(5)] });
    expect(await alerts()).toBe(0);
    await saveMeasurements(stage.practitioner, {
      patientId: id,
      measurements: [exam(4), measure({ kind: 'pain-now', side: null, trials: [0] })],
    });
    expect(await alerts()).toBe(1);
    await saveMeasurements(stage.practitioner, { patientId: id, measurements: [exam(4)] });
    expect(await alerts()).toBe(1);
  });
});

describe('findings', () => {
  it('are proposed, confirmed, and proposed again when the numbers change', async () => {
    const id = await makePatient(stage.practitioner);
    const patient = await patientOf(stage, id);
    const hold = (trials: number[]) =>
      saveMeasurements(stage.practitioner, {
        patientId: id,
        measurements: [measure({ kind: 'deep-flexor-hold', side: null, trials })],
      });
    await hold([14]);
    const [proposal] = (await findingList(patient)).proposed;
    if (!proposal) throw new Error('no proposal');
    const decide = (decision: 'confirmed' | 'dismissed', reason = '') =>
      decideFinding(stage.practitioner, {
        id: randomUUID(),
        patientId: id,
        key: proposal.key,
        decision,
        proposed: proposal.say,
        say: 'Deep neck flexors tire early',
        reason,
      });
    await expect(decide('dismissed')).rejects.toMatchObject({ at: ['reason'] });
    await decide('confirmed');
    const after = await findingList(patient);
    expect(after.proposed).toEqual([]);
    expect(after.confirmed.map((one) => one.say)).toEqual(['Deep neck flexors tire early']);
    await hold([20]);
    const again = await findingList(patient);
    expect(again.proposed[0]?.before?.say).toBe('Deep neck flexors tire early');
    expect(again.confirmed).toEqual([]);
    await hold([45]);
    const settled = await findingList(patient);
    expect([settled.confirmed, settled.settled.length]).toEqual([[], 1]);
    await hold([14]);
    await decide('dismissed', 'already trained');
    expect((await findingList(patient)).dismissed).toHaveLength(1);
  });
});

it('keeps the programme’s own refusals beside the screening’s', async () => {
  const id = await makePatient(stage.practitioner);
  await screened(stage.practitioner, id);
  await expect(
    saveProgramme(stage.practitioner, {
      patientId: id,
      basedOn: 0,
      effectiveFrom: addDays(today(), -1),
      reviewOn: null,
      rounds: 1,
      reason: '',
      lines: [{ lineage: null, exerciseId: 'tuck-lying', dose: '10x10s' }],
    }),
  ).rejects.toMatchObject({ at: ['effectiveFrom'] });
});
