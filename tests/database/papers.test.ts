import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { PaperFacts } from '@/core/records';
import { paperById, paperBytesOf, papersOf } from '@/db';
import { filePaper, openPaper, papersFor, readPaper, removePaper } from '@/server/visit/papers';
import { summaryOf } from '@/server/visit/summary';
import { makeClinic, makePatient, member, ownDomain, today } from '../support/clinic';
import { databaseStage, patientOf } from '../support/stage';

/** Papers that came in: filed, read, bounded, private. */
const stage = databaseStage('papers');
const PDF = Buffer.from('%PDF-1.4 a referral');
let patientId = '';
const facts = (change: Partial<PaperFacts> = {}): PaperFacts => ({
  id: randomUUID(),
  patientId,
  kind: 'referral',
  receivedOn: today(),
  ...change,
});
const open = async () =>
  (await summaryOf(stage.practitioner, await patientOf(stage, patientId), null)).open.filter(
    ({ at }) => at === 'papers',
  );

beforeEach(async () => {
  patientId = await makePatient(stage.practitioner, 'Wren Tarbuck');
});

it('is filed by an assistant, open until a practitioner has read it, and saved as it came', async () => {
  const paper = facts();
  await filePaper(stage.assistant, paper, PDF);
  // Sent again it is there once.
  await filePaper(stage.assistant, paper, PDF);
  expect(await open()).toEqual([{ say: '1 paper that came in is not read', at: 'papers' }]);
  expect(await papersFor(await patientOf(stage, patientId))).toMatchObject([
    { kind: 'referral', by: stage.assistant.name, readBy: null, isPdf: true },
  ]);
  expect(Buffer.from((await openPaper(stage.assistant, patientId, paper.id)).bytes)).toEqual(PDF);
  await readPaper(stage.practitioner, patientId, paper.id);
  await readPaper(stage.lead, patientId, paper.id);
  // The first who read it stays told.
  expect(await papersFor(await patientOf(stage, patientId))).toMatchObject([
    { readBy: stage.practitioner.name },
  ]);
  expect(await open()).toEqual([]);
});

it('does not say that a file is kept where another one is kept under the same id', async () => {
  const paper = facts();
  await filePaper(stage.assistant, paper, PDF);
  const other = Buffer.concat([PDF, Buffer.from('another page')]);
  await expect(filePaper(stage.assistant, paper, other)).rejects.toMatchObject({
    name: 'AlreadyThere',
  });
  expect(Buffer.from((await openPaper(stage.assistant, patientId, paper.id)).bytes)).toEqual(PDF);
});

it('keeps a picture anew, without what a camera wrote beside it', async () => {
  const paper = facts({ kind: 'scan' });
  const png = await sharp({
    create: { width: 3000, height: 2000, channels: 3, background: '#eee' },
  })
    .png()
    .toBuffer();
  await filePaper(stage.practitioner, paper, png);
  const { bytes, mediaType } = await openPaper(stage.practitioner, patientId, paper.id);
  const kept = await sharp(bytes).metadata();
  expect([mediaType, kept.format, kept.width]).toEqual(['image/jpeg', 'jpeg', 2400]);
});

it('is deleted for good, and that there was one stays', async () => {
  const paper = facts();
  await filePaper(stage.practitioner, paper, PDF);
  await removePaper(stage.practitioner, patientId, paper.id);
  const { clinicId } = stage.practitioner;
  expect(await paperBytesOf(clinicId, paper.id)).toBeNull();
  expect(await papersOf(clinicId, patientId)).toEqual([]);
  expect((await paperById(clinicId, paper.id))?.deletedBy).toBe(stage.practitioner.id);
  await expect(openPaper(stage.lead, patientId, paper.id)).rejects.toMatchObject({ status: 404 });
});

it.each<[string, () => Buffer, Partial<PaperFacts>, number]>([
  ['empty', () => Buffer.alloc(0), {}, 400],
  ['of one byte, which is not empty', () => Buffer.from([1]), {}, 415],
  ['a page of another site', () => Buffer.from('<html><script>alert(1)</script>'), {}, 415],
  ['a picture cut short', () => Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2]), {}, 415],
  ['of a day to come', () => PDF, { receivedOn: '2999-01-01' as never }, 400],
])('is refused where it is %s', async (_name, bytes, change, status) => {
  const paper = facts(change);
  await expect(filePaper(stage.practitioner, paper, bytes())).rejects.toMatchObject({ status });
  expect(await paperById(stage.practitioner.clinicId, paper.id)).toBeNull();
});

it('is nobody’s of another clinic or file, and read or deleted by no assistant', async () => {
  const paper = facts();
  await filePaper(stage.practitioner, paper, PDF);
  const { emails } = await makeClinic('elsewhere', ownDomain());
  const other = await member(emails.lead);
  await expect(openPaper(other, patientId, paper.id)).rejects.toMatchObject({ status: 404 });
  const another = await makePatient(stage.practitioner, 'Another');
  for (const deed of [openPaper, readPaper, removePaper])
    await expect(deed(stage.practitioner, another, paper.id)).rejects.toMatchObject({
      status: 404,
    });
  await expect(readPaper(stage.assistant, patientId, paper.id)).rejects.toThrow();
  await expect(removePaper(stage.assistant, patientId, paper.id)).rejects.toThrow();
  expect(PaperFacts.safeParse({ ...paper, kind: 'a secret' }).success).toBe(false);
});
