import { randomUUID } from 'node:crypto';
import { auditOf, memberBySession, membersOf } from '@/db';
import {
  changePassword,
  changeRole,
  endOwnSession,
  issueReset,
  issueResetFor,
  ownSessions,
  resetPassword,
} from '@/server/account';
import { now, setClock } from '@/server/clock';
import { addMember, setActive } from '@/server/people';
import { signIn } from '@/server/sign-in';
import { PASSWORD, makeClinic, member, ownDomain } from '../support/clinic';
import { databaseStage } from '../support/stage';

const stage = databaseStage('account');
const NEW = 'four words by the sea';
const DAY_MS = 86_400_000;
afterEach(() => setClock(null));

/** A clinic of its own, with its members signed in. */
async function people() {
  const { emails } = await makeClinic('quay', ownDomain());
  const [lead, practitioner] = [await member(emails.lead), await member(emails.practitioner)];
  return { emails, lead, practitioner };
}
const signsIn = (email: string, password: string) =>
  signIn(email, password, randomUUID()).then(
    () => true,
    () => false,
  );
const isOpen = async ({ tokenHash }: { tokenHash: string }) =>
  (await memberBySession(tokenHash, now())) !== null;

describe('a member’s own password', () => {
  it('is changed with the one of before, and ends every other session', async () => {
    const { emails, practitioner } = await people();
    const elsewhere = await member(emails.practitioner);
    await changePassword(practitioner, { old: PASSWORD, password: NEW });
    expect([await isOpen(practitioner), await isOpen(elsewhere)]).toEqual([true, false]);
    expect(await signsIn(emails.practitioner, PASSWORD)).toBe(false);
    expect(await signsIn(emails.practitioner, NEW)).toBe(true);
    const [event] = await auditOf(practitioner.clinicId, practitioner.id);
    expect(event?.verb).toBe('signed in');
  });

  it('stays when the old one is wrong, and five wrong ones end the trying for a while', async () => {
    const { emails, practitioner } = await people();
    for (let wrong = 0; wrong < 5; wrong += 1)
      await expect(
        changePassword(practitioner, { old: 'wrong', password: NEW }),
      ).rejects.toMatchObject({ status: 403, at: ['old'] });
    await expect(
      changePassword(practitioner, { old: PASSWORD, password: NEW }),
    ).rejects.toMatchObject({ status: 429 });
    // Nobody is locked out of signing in by it.
    expect(await signsIn(emails.practitioner, PASSWORD)).toBe(true);
  });

  it.each(['password123', 'Basket-Ball', 'practitioner of quay', 'aaaaaaaaaaaaa'])(
    'is refused where it is easy to guess: %s',
    async (password) => {
      const { practitioner } = await people();
      await expect(changePassword(practitioner, { old: PASSWORD, password })).rejects.toMatchObject(
        { status: 400, at: ['password'] },
      );
    },
  );
});

describe('a password link', () => {
  it('lets a new member set the first password, which the lead never knows', async () => {
    const { lead } = await people();
    const draft = {
      id: randomUUID(),
      name: 'Sorrel Quay',
      email: `${randomUUID()}@quay.example`,
      role: 'assistant' as const,
    };
    await addMember(lead, draft);
    // Sent again it is the same member, with a new link; another address under the same id is not.
    const { token } = await addMember(lead, draft);
    await expect(
      addMember(lead, { ...draft, email: `${randomUUID()}@quay.example` }),
    ).rejects.toMatchObject({ status: 409, at: ['email'] });
    expect(await signsIn(draft.email, '')).toBe(false);
    await resetPassword({ token, password: NEW });
    expect(await signsIn(draft.email, NEW)).toBe(true);
  });

  it('works once, for a day, until a newer one, and ends every session', async () => {
    const { emails, lead, practitioner } = await people();
    const id = practitioner.id;
    const first = await issueReset(lead, id);
    const second = await issueReset(lead, id);
    const gone = { status: 401 };
    await expect(resetPassword({ token: first.token, password: NEW })).rejects.toMatchObject(gone);
    await expect(resetPassword({ token: 'none', password: NEW })).rejects.toMatchObject(gone);
    // A password that is refused leaves the link as it was.
    await expect(
      resetPassword({ token: second.token, password: 'password123' }),
    ).rejects.toMatchObject({ status: 400 });
    // Until it is used the password of before stays.
    expect(await signsIn(emails.practitioner, PASSWORD)).toBe(true);
    await resetPassword({ token: second.token, password: NEW });
    expect(await isOpen(practitioner)).toBe(false);
    await expect(resetPassword({ token: second.token, password: NEW })).rejects.toMatchObject(gone);

    const late = await issueReset(lead, id);
    setClock(() => Date.now() + DAY_MS);
    await expect(resetPassword({ token: late.token, password: NEW })).rejects.toMatchObject(gone);
  });

  it('is made for a lead who is locked out by whoever looks after the server', async () => {
    const { emails, lead } = await people();
    const { token } = await issueResetFor(` ${emails.lead.toUpperCase()} `);
    await resetPassword({ token, password: NEW });
    expect(await isOpen(lead)).toBe(false);
    expect(await signsIn(emails.lead, NEW)).toBe(true);
    await expect(issueResetFor('nobody@quay.example')).rejects.toMatchObject({ status: 404 });
  });

  it('is made for members of the own clinic only', async () => {
    const [{ lead }, other] = [await people(), await people()];
    await expect(issueReset(lead, other.practitioner.id)).rejects.toMatchObject({
      status: 404,
    });
  });
});

describe('a role', () => {
  it('is changed by a lead, not one’s own, and somebody always leads', async () => {
    const { lead, practitioner } = await people();
    const [own, other] = [lead.id, practitioner.id];
    await expect(changeRole(lead, { memberId: own, role: 'assistant' })).rejects.toMatchObject({
      status: 400,
    });
    await changeRole(lead, { memberId: other, role: 'lead' });
    const role = async () => (await membersOf(lead.clinicId)).find(({ id }) => id === other)?.role;
    expect(await role()).toBe('lead');
    // Two leads who demote each other at once: one of them stays.
    const both = await Promise.allSettled([
      changeRole(lead, { memberId: other, role: 'assistant' }),
      changeRole({ ...practitioner, role: 'lead' }, { memberId: own, role: 'assistant' }),
    ]);
    expect(both.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
    const leads = (await membersOf(lead.clinicId)).filter((one) => one.role === 'lead');
    expect(leads).toHaveLength(1);
  });

  it('is none a clinic could be without: two leads who shut each other out', async () => {
    const { lead, practitioner } = await people();
    await changeRole(lead, { memberId: practitioner.id, role: 'lead' });
    const both = await Promise.allSettled([
      setActive(lead, practitioner.id, false),
      setActive({ ...practitioner, role: 'lead' }, lead.id, false),
    ]);
    expect(both.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
  });
});

describe('where a member is signed in', () => {
  it('is listed, and any session is ended from any other', async () => {
    const { emails, practitioner } = await people();
    const elsewhere = await member(emails.practitioner);
    const sessions = await ownSessions(practitioner);
    expect(sessions.map(({ isThis }) => isThis).sort()).toEqual([false, true]);
    const other = sessions.find(({ isThis }) => !isThis);
    await endOwnSession(practitioner, other?.id ?? '');
    expect([await isOpen(practitioner), await isOpen(elsewhere)]).toEqual([true, false]);
    expect(await ownSessions(practitioner)).toHaveLength(1);
    // What names a session opens nothing, and nobody ends another's.
    expect(other?.id).not.toBe(elsewhere.tokenHash);
    const [mine] = await ownSessions(practitioner);
    await endOwnSession(stage.lead, mine?.id ?? '');
    expect(await isOpen(practitioner)).toBe(true);
  });
});
