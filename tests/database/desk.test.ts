import { sentVersion } from '@/core/programme';
import { randomUUID } from 'node:crypto';
import Papa from 'papaparse';
import { WORDED_EXERCISES } from '@/catalogue/wording';
import { EXERCISE_COLUMNS, exerciseRow } from '@/core/exchange';
import { exerciseDraft } from '@/core/records';
import { auditOf, versionsOf } from '@/db';
import { setClock } from '@/server/clock';
import { bandsOf, saveBands } from '@/server/desk/bands';
import { keepDraft, keptDraft, othersWriting } from '@/server/desk/drafts';
import {
  catalogueFor,
  exportExercises,
  importExercises,
  ownExercises,
  retireExercise,
  saveExercise,
} from '@/server/desk/exercises';
import { stairsOf } from '@/server/desk/stairs';
import { removeTemplate, saveTemplate, templateList } from '@/server/desk/templates';
import { deskOf } from '@/server/plan';
import { saveEntry } from '@/server/visit/entries';
import { saveScreening } from '@/server/visit/screening';
import {
  aTemplate,
  makeClinic,
  makePatient,
  member,
  ownDraft,
  prescribe,
  today,
} from '../support/clinic';
import { databaseStage, patientOf, screening } from '../support/stage';

const stage = databaseStage('desk');
const csv = (...rows: unknown[]) => Papa.unparse({ fields: [...EXERCISE_COLUMNS], data: rows });
const own = async () =>
  (await ownExercises(stage.practitioner.clinicId)).map(({ name }) => name).sort();

describe('a clinic’s own exercises', () => {
  it('stand in its catalogue and nobody else’s, can be edited, and are offered no more', async () => {
    const { practitioner } = stage;
    const id = randomUUID();
    await saveExercise(practitioner, { id, exercise: ownDraft('Harbour press') });
    await saveExercise(practitioner, { id, exercise: ownDraft('Harbour press', { rung: 9 }) });
    expect((await catalogueFor(practitioner.clinicId)).byId(id)).toMatchObject({ rung: 9 });
    const other = await makeClinic('inland');
    expect(await ownExercises(other.id)).toEqual([]);
    await expect(
      saveExercise(practitioner, { id: randomUUID(), exercise: ownDraft('harbour PRESS') }),
    ).rejects.toMatchObject({ status: 409 });
    const elsewhere = await member(other.emails.lead);
    await expect(retireExercise(elsewhere, { id })).rejects.toMatchObject({ status: 404 });

    const patientId = await makePatient(practitioner);
    await prescribe(practitioner, patientId, [{ exerciseId: id, dose: '3x30s rpe 4' }]);
    await retireExercise(practitioner, { id });
    expect(await own()).toEqual([]);
    const [sent] = (
      (await versionsOf(practitioner.clinicId, [patientId])).get(patientId) ?? []
    ).map(sentVersion);
    expect(sent?.lines[0]?.exercise.name).toBe('Harbour press');
    expect((await auditOf(practitioner.clinicId, id)).map(({ verb }) => verb)).toContain('retired');
  });

  it('come in from a table, all or none, with a sentence for every row that is wrong', async () => {
    const { practitioner } = stage;
    const good = exerciseRow(ownDraft('Good'));
    const answer = await importExercises(practitioner, {
      format: 'csv',
      text: csv(
        good,
        { ...good, name: '', usualDose: '3x' },
        { ...good, name: 'Odd', family: 'Juggling' },
        good,
      ),
    });
    expect(answer.taken).toBe(0);
    expect(answer.problems.map(({ row }) => row)).toEqual([3, 3, 4, 5]);
    expect(answer.problems[0]?.say).toContain('The name is missing');
    expect(answer.problems[2]?.say).toContain('family');
    expect(answer.problems[3]?.say).toContain('twice');
    expect(await own()).toEqual([]);
    expect(await importExercises(practitioner, { format: 'csv', text: csv(good) })).toEqual({
      taken: 1,
      problems: [],
    });
    expect(await own()).toEqual(['Good']);
  });

  it.each([
    ['csv', 'name,family\nx,y', 'The heading lacks'],
    ['csv', '', 'The heading lacks'],
    ['json', '{}', 'no JSON list'],
    ['json', '[', 'not a JSON list'],
    ['json', '[]', 'no exercise'],
    ['json', '[1, null]', ''],
    ['csv', `${EXERCISE_COLUMNS.join(',')}\none,two`, 'as many cells'],
  ] as const)('refuses %s %j', async (format, text, say) => {
    const answer = await importExercises(stage.practitioner, { format, text });
    expect(answer.taken).toBe(0);
    expect(answer.problems[0]?.say).toMatch(
      new RegExp(say.replace('no JSON list', 'not a JSON list')),
    );
  });

  it('refuse the name of one that ships, and replace one of their own', async () => {
    const { practitioner } = stage;
    const [first] = WORDED_EXERCISES;
    if (!first) throw new Error('empty');
    const clash = await importExercises(practitioner, {
      format: 'json',
      text: JSON.stringify([exerciseDraft(first)]),
    });
    expect(clash.problems[0]?.say).toContain('ships');
    await importExercises(practitioner, {
      format: 'json',
      text: JSON.stringify([ownDraft('Good', { rung: 42 })]),
    });
    expect((await ownExercises(practitioner.clinicId)).map(({ rung }) => rung)).toEqual([42]);
  });

  it.each(['csv', 'json'] as const)(
    'go out and come in again as %s without loss',
    async (format) => {
      const { practitioner } = stage;
      await importExercises(practitioner, {
        format: 'json',
        text: JSON.stringify([
          ownDraft('Good', { feel: '=1+1, "quoted"', watch: '-and;semicolon' }),
        ]),
      });
      const before = await ownExercises(practitioner.clinicId);
      const file = await exportExercises(practitioner.clinicId, format, 'own');
      expect(
        await importExercises(practitioner, {
          format,
          text: `\uFEFF${file}`.slice(format === 'json' ? 1 : 0),
        }),
      ).toEqual({ taken: 1, problems: [] });
      expect(await ownExercises(practitioner.clinicId)).toEqual(before);
      const all = await exportExercises(practitioner.clinicId, format, 'all');
      const renamed = format === 'json' ? all.replaceAll('"name":"', '"name":"Our ') : null;
      if (renamed)
        expect((await importExercises(practitioner, { format, text: renamed })).problems).toEqual(
          [],
        );
      expect(all.length).toBeGreaterThan(20_000);
      for (const { id } of (await ownExercises(practitioner.clinicId)).filter(({ name }) =>
        name.startsWith('Our '),
      ))
        await retireExercise(practitioner, { id });
    },
  );
});

describe('templates', () => {
  it('are kept, listed by name, applied by their lines and removed', async () => {
    const { practitioner } = stage;
    const { clinicId } = practitioner;
    const template = aTemplate('Desk worker');
    await saveTemplate(practitioner, template);
    await saveTemplate(practitioner, template);
    expect(await templateList(clinicId)).toEqual([template]);
    await expect(saveTemplate(practitioner, aTemplate('desk WORKER'))).rejects.toMatchObject({
      status: 409,
    });
    await expect(
      saveTemplate(practitioner, {
        ...aTemplate('x'),
        lines: [{ exerciseId: 'gone', dose: 'x10' }],
      }),
    ).rejects.toMatchObject({ at: ['lines', 0, 'exerciseId'] });
    // Written anew, it takes the other's place, once however often it is sent.
    const anew = { ...aTemplate('desk worker'), rounds: 2, replaces: template.id };
    await saveTemplate(practitioner, anew);
    await saveTemplate(practitioner, anew);
    expect(await templateList(clinicId)).toMatchObject([{ id: anew.id, rounds: 2 }]);
    await expect(
      saveTemplate(practitioner, { ...aTemplate('another'), replaces: template.id }),
    ).rejects.toThrow();
    await removeTemplate(practitioner, { id: anew.id });
    expect(await templateList(clinicId)).toEqual([]);
    await expect(removeTemplate(practitioner, { id: anew.id })).rejects.toMatchObject({
      status: 404,
    });
  });
});

describe('an unsaved desk', () => {
  it('is kept for its author, tells of others, and goes with the version it becomes', async () => {
    const { practitioner, lead } = stage;
    const patientId = await makePatient(practitioner);
    const desk = (reason: string) => ({
      lines: [],
      rounds: 1,
      effectiveFrom: '',
      reviewOn: '',
      reason,
    });
    const draft = { patientId, basedOn: 0, desk: JSON.stringify(desk('mine')) };
    expect(await keepDraft(practitioner, draft)).toEqual([]);
    expect(await keepDraft(lead, { ...draft, desk: JSON.stringify(desk('theirs')) })).toEqual([
      { name: practitioner.name, minutesAgo: 0 },
    ]);
    expect(await keptDraft(practitioner, patientId)).toEqual({ desk: desk('mine'), basedOn: 0 });
    expect(await keptDraft(lead, patientId)).toMatchObject({ desk: desk('theirs') });
    await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
    expect(await keptDraft(practitioner, patientId)).toBeNull();
    // The other's desk stays, with the version it began from.
    expect(await keptDraft(lead, patientId)).toMatchObject({ basedOn: 0 });
    const later = Date.now() + 20 * 60_000;
    setClock(() => later);
    expect(await othersWriting(practitioner, patientId)).toEqual([]);
    setClock(null);
    await keepDraft(lead, { ...draft, desk: null });
    expect(await keptDraft(lead, patientId)).toBeNull();
  });
});

it.each(['', '{', '7', 'null', '{"lines":7}', '{"lines":[{"uid":1}],"rounds":1}'])(
  'a kept desk that is none any more (%s) is left aside, and its author is told',
  async (desk) => {
    const { practitioner } = stage;
    const patientId = await makePatient(practitioner);
    await keepDraft(practitioner, { patientId, basedOn: 0, desk });
    expect(await keptDraft(practitioner, patientId)).toEqual({ desk: null, basedOn: 0 });
  },
);

describe('what a version keeps', () => {
  it('refuses a flagged line without a reason, and keeps the reason with school and session', async () => {
    const { practitioner } = stage;
    const patientId = await makePatient(practitioner);
    await saveScreening(practitioner, screening(patientId, ['jaw']));
    const line = { exerciseId: 'under-jaw-tuck', dose: '3x10s gap 15s 30%' };
    await expect(prescribe(practitioner, patientId, [line])).rejects.toMatchObject({
      status: 400,
      at: ['lines', 0, 'overrides'],
      say: expect.stringContaining('under the jaw') as string,
    });
    const override = {
      precaution: 'jaw',
      trait: 'under-jaw resistance',
      reason: 'Settled since June',
    } as const;
    // A reason for another trait, or against another precaution, is none for this one.
    for (const other of [{ trait: 'head rolls' }, { precaution: 'latex' }] as const)
      await expect(
        prescribe(practitioner, patientId, [{ ...line, overrides: [{ ...override, ...other }] }]),
      ).rejects.toMatchObject({ status: 400, at: ['lines', 0, 'overrides'] });
    const school = {
      id: 'lengthen',
      settings: { holds: [], tenRepMaximum: null, unit: 'kg' },
    } as const;
    await prescribe(practitioner, patientId, [
      { ...line, overrides: [override], school, session: 'evening' },
    ]);
    const desk = await deskOf(practitioner, await patientOf(stage, patientId));
    expect(desk.desk.lines[0]).toMatchObject({ overrides: [override], school, session: 'evening' });
  });

  it('says in words what each version changed', async () => {
    const { practitioner } = stage;
    const patientId = await makePatient(practitioner);
    await prescribe(practitioner, patientId, [{ exerciseId: 'tuck-lying', dose: '10x10s' }]);
    const desk = await deskOf(practitioner, await patientOf(stage, patientId));
    await prescribe(
      practitioner,
      patientId,
      [
        { exerciseId: 'tuck-lying', dose: '5x10s', lineage: desk.desk.lines[0]?.lineage ?? null },
        { exerciseId: 'blade-set', dose: 'x10' },
      ],
      { basedOn: 1 },
    );
    const { earlier } = await deskOf(practitioner, await patientOf(stage, patientId));
    expect(earlier.map(({ number, difference }) => [number, difference])).toEqual([
      [2, ['Tuck lying down: 10x10s → 5x10s', 'Added: Blade set, down and back']],
      [1, []],
    ]);
  });
});

describe('home and bands', () => {
  it('close steps that the home or the body does not allow', async () => {
    const { assistant, practitioner } = stage;
    const patientId = await makePatient(practitioner);
    const entry = {
      id: randomUUID(),
      patientId,
      kind: 'home',
      supersedes: null,
      on: today(),
    } as const;
    await saveEntry(assistant, {
      ...entry,
      body: { props: ['flat band'], weights: [2], unit: 'kg', cannot: ['kneeling'], busy: [] },
    });
    await prescribe(practitioner, patientId, [{ exerciseId: 'six-way-hold', dose: '3x10s 30%' }]);
    const [first] = await stairsOf(await patientOf(stage, patientId));
    expect(first?.family).toBe('Neck hold');
    const climbed = first?.ladders.flatMap(({ steps }) => steps) ?? [];
    expect(climbed.filter(({ dose }) => dose !== null).map(({ exercise }) => exercise.id)).toEqual([
      'six-way-hold',
    ]);
    expect(first?.beside.find(({ exercise }) => exercise.id === 'side-band-hold')?.closed).toEqual([
      'cannot take the position: kneeling',
      'missing at home: band anchor',
    ]);
  });

  it('keeps the clinic’s measured bands, by the lead only', async () => {
    const { lead, practitioner } = stage;
    const bands = [
      {
        name: 'firm',
        points: [
          { stretchPercent: 0, newtons: 0 },
          { stretchPercent: 100, newtons: 40 },
        ],
      },
    ];
    await saveBands(lead, { bands });
    expect(await bandsOf(lead.clinicId)).toEqual(bands);
    await expect(saveBands(practitioner, { bands: [] })).rejects.toMatchObject({ guard: 'access' });
  });
});
