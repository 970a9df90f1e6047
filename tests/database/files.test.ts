import { randomUUID } from 'node:crypto';
import { later } from '@/core/schedule';
import { auditOf, patientById } from '@/db';
import { colleaguesOf } from '@/server/clinic';
import { setClock, now } from '@/server/clock';
import {
  allow,
  allowedOf,
  handOverPatients,
  handingOver,
  mayOpen,
  openClosedFile,
  openingsFor,
} from '@/server/files';
import { correctPatient, correctionsFor } from '@/server/identity';
import { issueLink, revokeLink } from '@/server/links';
import { morningList } from '@/server/morning-list';
import { patientFor } from '@/server/people';
import { pictureFor } from '@/server/visit/photos';
import { PERIODS_MS } from '@/server/periods';
import { makePatient, member, memberBehind, today, withFactor } from '../support/clinic';
import { databaseStage, patientOf, photographable } from '../support/stage';

const stage = databaseStage('files');
let hers = '';
let theirs = '';

beforeAll(async () => {
  theirs = await makePatient(stage.lead, 'Lead Patient');
  hers = await makePatient(stage.practitioner, 'Practitioner Patient');
});
afterEach(() => setClock(null));

const asNow = async () => withFactor(await memberBehind(stage.assistant.token));
const allowed = (practitioners: string[], issuesLinks = true) =>
  allow(stage.lead, {
    memberId: stage.assistant.id,
    sees: 'chosen',
    practitioners,
    issuesLinks,
  });

describe('an assistant', () => {
  it('sees every file and issues links where nothing else is set', async () => {
    const assistant = await asNow();
    expect([assistant.narrowed, assistant.issuesLinks]).toEqual([false, true]);
    await expect(patientFor(assistant, theirs)).resolves.toBeDefined();
    await expect(issueLink(assistant, theirs)).resolves.toBeDefined();
  });

  it('sees the files of chosen practitioners alone, in lists, pages, writes and pictures', async () => {
    await allowed([stage.practitioner.id]);
    const assistant = await asNow();
    expect(assistant.narrowed).toBe(true);
    await expect(patientFor(assistant, hers)).resolves.toBeDefined();
    await expect(patientFor(assistant, theirs)).rejects.toMatchObject({ status: 403 });
    expect(await mayOpen(assistant, await patientOf(stage, theirs))).toBe(false);
    const list = async (practitionerId: string | null) =>
      (
        await morningList(assistant, { search: '', practitionerId, group: null, page: 1 })
      ).groups.flatMap(({ rows }) => rows.map(({ name }) => name));
    expect(await list(null)).toEqual(['Practitioner Patient']);
    // Asking for another's by name or by the address finds nothing.
    expect(await list(stage.lead.id)).toEqual([]);
    const listed = await morningList(assistant, {
      search: 'Lead',
      practitionerId: null,
      group: null,
      page: 1,
    });
    expect(listed.total).toBe(0);
    expect(listed.counts.map(({ id }) => id)).toEqual([stage.practitioner.id]);
    const photo = await photoOf();
    await expect(pictureFor(assistant, photo.id)).rejects.toMatchObject({ status: 403 });
    expect(await pictureFor(stage.practitioner, photo.id)).not.toBeNull();
  });

  /** A photo of a patient whom the assistant does not see. */
  async function photoOf(): Promise<{ id: string }> {
    const { takePhoto } = await import('@/server/visit/photos');
    const sharp = (await import('sharp')).default;
    const patientId = await photographable(stage);
    await handOverPatients(stage.lead, {
      from: stage.practitioner.id,
      to: stage.lead.id,
      patientId,
    });
    const id = randomUUID();
    const picture = await sharp({
      create: { width: 300, height: 400, channels: 3, background: '#888' },
    })
      .jpeg()
      .toBuffer();
    await takePhoto(stage.practitioner, { id, patientId, takenOn: today() }, picture);
    return { id };
  }

  it('opens another file with a reason, for twelve hours, and the lead sees who and why', async () => {
    const assistant = await asNow();
    const id = randomUUID();
    const order = { id, patientId: null, name: 'Lead Patient', reason: 'She fell in the hall' };
    await expect(openClosedFile(assistant, { ...order, name: 'Lead' })).rejects.toMatchObject({
      status: 404,
      at: ['name'],
    });
    expect(await openClosedFile(assistant, order)).toEqual({ patientId: theirs });
    // Sent again it is the same; other words under its id are not.
    expect(await openClosedFile(assistant, order)).toEqual({ patientId: theirs });
    await expect(
      openClosedFile(assistant, { ...order, reason: 'Something else' }),
    ).rejects.toThrow();
    await expect(patientFor(assistant, theirs)).resolves.toBeDefined();
    expect(await openingsFor(stage.lead)).toEqual([
      expect.objectContaining({
        patient: 'Lead Patient',
        by: 'assistant of harbour',
        reason: order.reason,
      }),
    ]);
    expect((await auditOf(stage.lead.clinicId, theirs))[0]).toMatchObject({
      verb: 'opened with a reason the closed file of',
      actorId: assistant.id,
    });
    // Nobody else gets in by it.
    const at = now();
    setClock(() => later(at, PERIODS_MS.fileOpened - 60_000));
    expect(await mayOpen(assistant, await patientOf(stage, theirs))).toBe(true);
    setClock(() => later(at, PERIODS_MS.fileOpened + 60_000));
    expect(await mayOpen(assistant, await patientOf(stage, theirs))).toBe(false);
  });

  it('issues and ends links only where the clinic lets them', async () => {
    await allowed([stage.practitioner.id], false);
    const assistant = await asNow();
    for (const deed of [issueLink, revokeLink])
      await expect(deed(assistant, hers)).rejects.toMatchObject({ status: 403 });
    // The right is looked at in the write as well: taken away meanwhile, nothing is issued.
    for (const deed of [issueLink, revokeLink])
      await expect(deed({ ...assistant, issuesLinks: true }, hers)).rejects.toMatchObject({
        guard: 'access',
      });
    await expect(issueLink(stage.practitioner, hers)).resolves.toBeDefined();
    expect((await allowedOf(stage.lead)).seenBy(stage.assistant.id)).toEqual([
      stage.practitioner.id,
    ]);
  });

  it('is allowed by the lead alone, and nobody of another clinic is named', async () => {
    await expect(
      allow(stage.practitioner, {
        memberId: stage.assistant.id,
        sees: 'all',
        practitioners: [],
        issuesLinks: true,
      }),
    ).rejects.toMatchObject({ guard: 'access' });
    await expect(allowed([randomUUID()])).rejects.toMatchObject({ status: 404 });
  });
});

describe('the page of the clinic', () => {
  it('names every member, and who may have patients', async () => {
    const all = await colleaguesOf(stage.lead);
    expect(all.map(({ role }) => role).sort()).toEqual(['assistant', 'lead', 'practitioner']);
    const { practitioners, hasFactor } = await allowedOf(stage.lead);
    expect(practitioners.map(({ id }) => id).sort()).toEqual(
      [stage.lead.id, stage.practitioner.id].sort(),
    );
    expect(all.map(({ id }) => hasFactor(id))).toEqual([false, false, false]);
    const { from, others } = await handingOver(await patientOf(stage, hers));
    expect([from.id, others.map(({ id }) => id)]).toEqual([stage.practitioner.id, [stage.lead.id]]);
  });
});

describe('a caseload', () => {
  it('is handed over whole or by patient, to somebody who can have one', async () => {
    const { lead, practitioner, assistant } = stage;
    const order = { from: practitioner.id, to: lead.id, patientId: hers };
    await expect(handOverPatients(practitioner, order)).rejects.toMatchObject({ guard: 'access' });
    await expect(handOverPatients(lead, { ...order, to: assistant.id })).rejects.toMatchObject({
      status: 400,
      at: ['to'],
    });
    await handOverPatients(lead, order);
    expect((await patientOf(stage, hers)).practitionerId).toBe(lead.id);
    const loads = async () => {
      const { caseload } = await allowedOf(lead);
      return [caseload(lead.id), caseload(practitioner.id)];
    };
    const [leads, others] = await loads();
    expect(others).toBe(0);
    await handOverPatients(lead, { from: lead.id, to: practitioner.id, patientId: null });
    expect(await loads()).toEqual([0, leads]);
  });
});

describe('who a patient is', () => {
  it('is put right by a practitioner, and what stood there before stays in the file', async () => {
    const { practitioner, assistant } = stage;
    const order = {
      id: randomUUID(),
      patientId: hers,
      name: 'Practitioner’s Patient',
      birthDate: '1970-02-03' as never,
      contact: '+000 12',
      was: { name: 'Practitioner Patient', birthDate: null, contact: '' },
    };
    await expect(correctPatient(await member(stage.emails.assistant), order)).rejects.toBeDefined();
    await correctPatient(practitioner, order);
    expect(await patientById(practitioner.clinicId, hers)).toMatchObject({
      name: order.name,
      birthDate: order.birthDate,
      contact: order.contact,
    });
    await correctPatient(practitioner, order);
    const kept = await correctionsFor(await patientOf(stage, hers));
    expect(kept.map(({ field, before, after }) => [field, before, after]).sort()).toEqual([
      ['birth date', '', '1970-02-03'],
      ['contact', '', '+000 12'],
      ['name', 'Practitioner Patient', 'Practitioner’s Patient'],
    ]);
    await expect(correctPatient(practitioner, { ...order, contact: 'x' })).rejects.toThrow();
    await expect(
      correctPatient(practitioner, { ...order, id: randomUUID(), patientId: randomUUID() }),
    ).rejects.toMatchObject({ status: 404 });
    // From a page that was read before: it would put the older words back.
    await expect(
      correctPatient(practitioner, { ...order, id: randomUUID(), contact: 'x' }),
    ).rejects.toMatchObject({ guard: 'newest' });
    // The audit says that it was done, not what.
    const [event] = await auditOf(practitioner.clinicId, hers);
    expect(event?.verb).toBe('put right who is');
    expect(JSON.stringify(event)).not.toContain('+000 12');
    expect(assistant.role).toBe('assistant');
  });
});
