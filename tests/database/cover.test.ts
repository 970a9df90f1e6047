import { randomUUID } from 'node:crypto';
import { ENGLISH } from '@/catalogue';
import { saveCover, coverInWords, coversFor, finishCover, whoCovers } from '@/server/cover';
import { patientPack } from '@/server/patient-pack';
import { device, makeClinic, makePatient, member, ownDomain, today } from '../support/clinic';
import { databaseStage, patientOf } from '../support/stage';

/** Who answers while a practitioner is away. */
const stage = databaseStage('cover');
const draft = (change: object = {}) => ({
  id: randomUUID(),
  memberId: stage.practitioner.id,
  coveredBy: stage.lead.id,
  from: today(2),
  to: today(5),
  ...change,
});

it('is told on the list and on the phones of their patients, and of nobody else’s', async () => {
  const id = await makePatient(stage.practitioner, 'Wren Tarbuck');
  const others = await makePatient(stage.lead, 'Ansel Corriwick');
  const cover = draft();
  await saveCover(stage.practitioner, cover);
  // Sent again it is there once.
  await saveCover(stage.practitioner, cover);
  expect((await coversFor(stage.assistant)).covers).toMatchObject([
    { id: cover.id, away: stage.practitioner.name, by: stage.lead.name, toDate: today(5) },
  ]);
  const said = await coverInWords(await patientOf(stage, id), ENGLISH);
  expect(said).toContain(`${stage.lead.name} answers for ${stage.practitioner.name}`);
  expect((await patientPack(await device(stage.practitioner, id))).cover).toBe(said);
  expect(await coverInWords(await patientOf(stage, others), ENGLISH)).toBe('');
  await finishCover(stage.practitioner, cover.id);
  expect((await coversFor(stage.lead)).covers).toEqual([]);
  expect(await coverInWords(await patientOf(stage, id), ENGLISH)).toBe('');
  // Ending again changes nothing.
  await finishCover(stage.practitioner, cover.id);
});

it.each([
  ['on days that are covered', () => draft({ from: today(40), to: today(45) }), 409],
  ['by an assistant', () => draft({ coveredBy: stage.assistant.id }), 400],
  ['by nobody of the clinic', () => draft({ coveredBy: randomUUID() }), 400],
  ['of nobody of the clinic', () => draft({ memberId: randomUUID() }), 404],
  ['for a day more than a year', () => draft({ from: today(400), to: today(766) }), 400],
  ['for years', () => draft({ from: today(400), to: today(800) }), 400],
])('is refused %s', async (_name, wanted, status) => {
  await saveCover(stage.lead, draft({ from: today(44), to: today(44) })).catch(() => undefined);
  await expect(saveCover(stage.lead, wanted())).rejects.toMatchObject({ status });
});

it('may be for a year to the day', async () => {
  const year = draft({ from: today(400), to: today(765) });
  await saveCover(stage.lead, year);
  await finishCover(stage.lead, year.id);
});

it('is written for somebody else by the lead alone, and ended by nobody of another clinic', async () => {
  const away = draft({ from: today(20), to: today(21) });
  await expect(
    saveCover(stage.practitioner, {
      ...away,
      memberId: stage.lead.id,
      coveredBy: stage.practitioner.id,
    }),
  ).rejects.toMatchObject({ status: 403 });
  await saveCover(stage.lead, away);
  const { emails } = await makeClinic('elsewhere', ownDomain());
  await finishCover(await member(emails.lead), away.id);
  expect((await coversFor(stage.lead)).covers.map(({ id }) => id)).toContain(away.id);
  await expect(finishCover(stage.assistant, away.id)).rejects.toMatchObject({ status: 403 });
  expect(await whoCovers(stage.practitioner)).toEqual([
    { id: stage.lead.id, name: stage.lead.name },
  ]);
});
