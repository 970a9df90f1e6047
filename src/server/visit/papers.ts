import { type PaperFacts, MOST_PAPERS } from '@/core/records';
import {
  GuardRefused,
  type PaperRow,
  type Patient,
  deletePaper,
  fewerPapers,
  forgetDeleted,
  guard,
  insertPaper,
  markPaperRead,
  membersOf,
  paperById,
  paperBytesOf,
  papersOf,
} from '@/db';
import type { SignedIn } from '../access';
import { patientFor } from '../people';
import { NOT_FOUND, Problem } from '../problem';
import { todayOf } from '../programme-facts';
import { storedPicture } from './picture';
import { isSameRecord, writeAs } from './write-as';

/** A page of a scan is read at a larger size than a side photo. */
const SCAN = { longestEdge: 2400, storedBytes: 1_500_000 } as const;
const PDF = Buffer.from('%PDF-');

/**
 * A paper as it is kept: a PDF as it came, never opened here and only ever saved by whoever asks; a
 * picture decoded and written anew.
 *
 * @throws Problem 415 for anything else
 */
async function keptPaper(upload: Buffer) {
  if (upload.subarray(0, PDF.length).equals(PDF))
    return { mediaType: 'application/pdf' as const, bytes: upload };
  try {
    return { mediaType: 'image/jpeg' as const, bytes: (await storedPicture(upload, SCAN)).bytes };
  } catch (error) {
    if (error instanceof Problem && error.status === 415)
      throw new Problem(415, 'This is neither a PDF nor a picture. Scan it as one of them.');
    throw error;
  }
}

/** Files a paper that came in. */
export async function filePaper(
  member: SignedIn,
  facts: PaperFacts,
  upload: Buffer,
): Promise<void> {
  const patient = await patientFor(member, facts.patientId);
  const { clinicId } = member;
  if (upload.length === 0) throw new Problem(400, 'This file is empty. Choose another one.');
  if (facts.receivedOn > todayOf(patient))
    throw new Problem(400, 'A paper cannot have come on a day to come.', ['receivedOn']);
  const { mediaType, bytes } = await keptPaper(upload);
  try {
    await writeAs(member, 'assistant', {
      verb: 'filed',
      subject: { kind: 'paper', id: facts.id },
      statements: (at) => [
        guard('room', fewerPapers(clinicId, patient.id, MOST_PAPERS)),
        ...insertPaper(
          {
            ...facts,
            clinicId,
            authorId: member.id,
            createdAt: at,
            mediaType,
            size: bytes.length,
            readBy: null,
            readAt: null,
            deletedBy: null,
            deletedAt: null,
          },
          bytes,
        ),
      ],
      isThere: async () => {
        const there = await paperById(clinicId, facts.id);
        if (there === null || !isSameRecord(there, facts)) return false;
        // What was deleted since had been filed.
        if (there.deletedAt !== null) return true;
        return (await paperBytesOf(clinicId, facts.id))?.equals(bytes) ?? false;
      },
    });
  } catch (error) {
    if (error instanceof GuardRefused && error.guard === 'room')
      throw new Problem(409, `A file holds at most ${MOST_PAPERS} papers.`);
    throw error;
  }
}

/** A paper of this patient that was not deleted. */
async function paperFor(member: SignedIn, patientId: string, id: string): Promise<PaperRow> {
  const patient = await patientFor(member, patientId);
  const found = await paperById(member.clinicId, id);
  if (!found || found.patientId !== patient.id || found.deletedAt !== null)
    throw new Problem(404, NOT_FOUND);
  return found;
}

/** A paper's bytes, to be saved. */
export async function openPaper(member: SignedIn, patientId: string, id: string) {
  const found = await paperFor(member, patientId, id);
  const bytes = await paperBytesOf(member.clinicId, id);
  if (!bytes) throw new Problem(404, NOT_FOUND);
  return { bytes: new Uint8Array(bytes), ...found };
}

/** Keeps that a practitioner read it; the first who did stays told. */
export async function readPaper(member: SignedIn, patientId: string, id: string): Promise<void> {
  const found = await paperFor(member, patientId, id);
  if (found.readAt !== null) return;
  await writeAs(member, 'practitioner', {
    verb: 'read',
    subject: { kind: 'paper', id },
    statements: (at) => [markPaperRead(member.clinicId, id, member.id, at)],
  });
}

/** Deletes a paper for good; deleting it again changes nothing. */
export async function removePaper(member: SignedIn, patientId: string, id: string): Promise<void> {
  const patient = await patientFor(member, patientId);
  const found = await paperById(member.clinicId, id);
  if (!found || found.patientId !== patient.id) throw new Problem(404, NOT_FOUND);
  if (found.deletedAt !== null) return;
  await writeAs(member, 'practitioner', {
    verb: 'deleted',
    subject: { kind: 'paper', id },
    statements: (at) => deletePaper(member.clinicId, id, member.id, at),
  });
  await forgetDeleted();
}

/** A patient's papers with the names of those who filed and read them. */
export async function papersFor(patient: Patient) {
  const [papers, members] = await Promise.all([
    papersOf(patient.clinicId, patient.id),
    membersOf(patient.clinicId),
  ]);
  const nameOf = (id: string | null) => members.find((one) => one.id === id)?.name ?? '';
  return papers.map(({ id, kind, receivedOn, mediaType, size, authorId, readBy, readAt }) => ({
    id,
    kind,
    receivedOn,
    isPdf: mediaType === 'application/pdf',
    kilobytes: Math.ceil(size / 1024),
    by: nameOf(authorId),
    readBy: readAt === null ? null : nameOf(readBy),
  }));
}
