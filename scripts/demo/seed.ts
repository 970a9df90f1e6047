import { STORIES } from './stories';
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { type Instant, dateIn } from '@/core/schedule';
import { addDays, dateRange } from '@/core/units';
import { closeDatabase, insertClinic, insertMember, migrateDatabase, write } from '@/db';
import { setClock } from '@/server/clock';
import { hashPassword } from '@/server/passwords';
import { live, memberFor } from './simulate';
import { addOwnExercise } from './own-exercise';
import { CLINIC, DAYS, DEMO_PASSWORD, MEMBERS, OPENING_HOURS } from './world';

/** Fills an empty database with the demo world and notes its sign-ins beside it. */
async function seed(facts: string): Promise<void> {
  mkdirSync(dirname(facts), { recursive: true });
  await migrateDatabase();
  const today = dateIn(CLINIC.zone, Date.now() as Instant);
  const dates = dateRange(addDays(today, 1 - DAYS), today);
  const createdAt = Date.parse(`${dates[0]}T06:00:00Z`) as Instant;
  const clinicId = crypto.randomUUID();
  const passwordHash = await hashPassword(DEMO_PASSWORD);
  await write(() => [
    insertClinic({ ...CLINIC, openingHours: OPENING_HOURS, id: clinicId, createdAt }),
    ...MEMBERS.map((member) =>
      insertMember({ ...member, clinicId, id: crypto.randomUUID(), passwordHash, createdAt }),
    ),
  ]);
  let patientToken = '';
  const tokens: Record<string, string> = {};
  for (const [index, story] of STORIES.entries()) {
    const email = MEMBERS[index % 2]?.email ?? '';
    const { token } = await live(story, 1000 + index, dates, () => memberFor(email));
    if (index === 0) patientToken = token;
    if (story.language) tokens[story.language] = token;
  }
  setClock(null);
  await addOwnExercise(await memberFor(MEMBERS[0]?.email ?? ''));
  const signIns = MEMBERS.map(({ role, email }) => ({ role, email, password: DEMO_PASSWORD }));
  writeFileSync(
    facts,
    JSON.stringify(
      { seededOn: today, signIns, patientToken, patientName: STORIES[0]?.name, tokens },
      null,
      2,
    ),
  );
  closeDatabase();
}

const facts = process.argv[2];
if (!facts) throw new Error('name the file for the sign-ins');
void seed(facts).catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
