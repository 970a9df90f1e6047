import { randomUUID } from 'node:crypto';
import { ENGLISH } from '@/catalogue';
import { SHIPPED_LANGUAGES } from '@/catalogue/shipped-languages';
import { languageChecksOf, patientById, versionsOf } from '@/db';
import { read } from '@/db/door';
import { auditEvent } from '@/db/schema';
import {
  checkLanguage,
  isLanguageChecked,
  languageHash,
  languagesOf,
  uncheckLanguage,
} from '@/server/checked-languages';
import { saveLanguage } from '@/server/details';
import { issueLink } from '@/server/links';
import { patientPack } from '@/server/patient-pack';
import { readingOf } from '@/server/patient-reading';
import { chooseLanguage } from '@/server/patient/settings';
import { handoutOf } from '@/server/visit/handout';
import { device, makePatient, prescribe } from '../support/clinic';
import { databaseStage, patientOf } from '../support/stage';

const stage = databaseStage('languages');

const SPANISH = SHIPPED_LANGUAGES.find(({ tag }) => tag === 'es') ?? ENGLISH;
const check = (hash = languageHash(SPANISH)) => ({ id: randomUUID(), language: 'es', hash });
const spanishStanding = async () =>
  (await languagesOf(stage.practitioner.clinicId)).find(({ tag }) => tag === 'es');

async function spanishReader() {
  const id = await makePatient(stage.practitioner);
  await saveLanguage(stage.practitioner, { patientId: id, language: 'es' });
  await prescribe(stage.practitioner, id, [
    { exerciseId: 'tuck-seated', dose: 'x10 hold 5s gap 3s daily' },
    { exerciseId: 'side-neck-stretch', dose: '2x20s right daily' },
  ]);
  return id;
}

afterEach(() => uncheckLanguage(stage.practitioner, 'es'));

it('keeps with a version what its patient read, beside the clinic’s words', async () => {
  const id = await spanishReader();
  const [version] = (await versionsOf(stage.practitioner.clinicId, [id])).get(id) ?? [];
  const [tuck] = version?.lines ?? [];
  expect(tuck?.exercise.name).toBe('Tuck sitting tall');
  expect(tuck?.exercise.told).toMatchObject({
    language: 'es',
    words: {
      name: SPANISH.sayings['Tuck sitting tall'],
      cues: ['Mire al frente', 'Recto atrás, no abajo', 'Hombros abajo'],
    },
  });
  // What an English reader was sent carries nothing twice.
  const other = await makePatient(stage.practitioner);
  await prescribe(stage.practitioner, other, [{ exerciseId: 'tuck-seated', dose: 'x10 daily' }]);
  const [plain] = (await versionsOf(stage.practitioner.clinicId, [other])).get(other) ?? [];
  expect(plain?.lines[0]?.exercise.told).toBeUndefined();
});

it('says a version of before in the language that is chosen later, sides too', async () => {
  const id = await makePatient(stage.practitioner);
  await prescribe(stage.practitioner, id, [
    { exerciseId: 'side-neck-stretch', dose: '2x20s right daily' },
  ]);
  const here = await device(stage.practitioner, id);
  await chooseLanguage(here, 'es');
  const patient = await patientById(here.clinicId, id);
  if (!patient) throw new Error('no patient');
  const [line] = (await patientPack({ ...here, patient })).lines;
  expect(line?.name).toBe(SPANISH.sayings['Side-neck stretch by barriers']);
  expect(line?.sides?.right).toBe('estira el lado derecho: oreja hacia el hombro izquierdo');
  expect(line?.words).toContain('Haga solo el lado derecho: estira el lado derecho');
  await expect(chooseLanguage({ ...here, patient }, 'xx')).rejects.toMatchObject({
    status: 400,
    say: SPANISH.texts['problem.noLanguage'],
  });
});

it('stands beside the words until a practitioner stands for them, by their hash, and again when they change', async () => {
  const id = await spanishReader();
  const { clinicId } = stage.practitioner;
  const patient = await patientOf(stage, id);
  const beside = async () => {
    const sheet = await handoutOf(patient, 'https://clinic.example/today');
    return [sheet?.exercises[0]?.numbersBeside, sheet?.stopBeside.length];
  };
  expect(await isLanguageChecked(clinicId, ENGLISH)).toBe(true);
  expect(await beside()).toEqual(['Do 10. Hold each for 5 seconds, rest 3 seconds.', 4]);
  await checkLanguage(stage.practitioner, check());
  expect(await isLanguageChecked(clinicId, SPANISH)).toBe(true);
  expect(await beside()).toEqual(['', 0]);
  expect((await spanishStanding())?.checked?.by).toBe(stage.practitioner.name);
  // Said twice, it is kept once.
  await checkLanguage(stage.practitioner, check());
  expect(await languageChecksOf(clinicId)).toHaveLength(1);
  // One text changes, of the screens, of an exercise or of the English: it is another language to stand for.
  for (const changed of [
    { ...SPANISH, texts: { ...SPANISH.texts, 'stop.at': 'Pare:' } },
    { ...SPANISH, sayings: { ...SPANISH.sayings, 'Look straight ahead': 'Mire' } },
  ])
    expect(await isLanguageChecked(clinicId, changed)).toBe(false);
  await uncheckLanguage(stage.practitioner, 'es');
  expect(await beside()).toEqual(['Do 10. Hold each for 5 seconds, rest 3 seconds.', 4]);
  expect(await spanishStanding()).toMatchObject({ checked: null, changedSince: false });
  await expect(checkLanguage(stage.practitioner, check('another'))).rejects.toMatchObject({
    status: 409,
  });
  await expect(
    checkLanguage(stage.practitioner, { ...check(), language: 'en' }),
  ).rejects.toMatchObject({ status: 400 });
});

it('lets a link to unchecked words go out only under a practitioner’s name, and keeps that in the audit', async () => {
  const id = await spanishReader();
  const verbs = async () =>
    (await read((db) => db.select({ verb: auditEvent.verb }).from(auditEvent)))
      .map(({ verb }) => verb)
      .filter((verb) => verb.startsWith('issued'));
  await expect(issueLink(stage.practitioner, id)).rejects.toMatchObject({
    status: 409,
    at: ['answersForWords'],
  });
  const { assistant } = stage;
  await expect(issueLink(assistant, id, true)).rejects.toMatchObject({ status: 403 });
  expect(await verbs()).not.toContain('issued, answering for unchecked words,');
  await issueLink(stage.practitioner, id, true);
  expect(await verbs()).toContain('issued, answering for unchecked words,');
  await checkLanguage(stage.practitioner, check());
  await expect(issueLink(assistant, id)).resolves.toHaveProperty('token');
});

it('shows what the patient will read before it is sent, and what is shown as it was written', async () => {
  const patient = await patientOf(stage, await spanishReader());
  const reading = await readingOf(patient, [
    { lineage: null, exerciseId: 'tuck-seated', dose: 'x10 hold 5s gap 3s daily' },
    { lineage: null, exerciseId: 'tuck-lying', dose: 'not a dose' },
    { lineage: null, exerciseId: 'no-such', dose: 'x10' },
  ]);
  expect(reading).toMatchObject({ tag: 'es', way: 'ltr', name: 'Español', checked: false });
  expect(reading.lines).toHaveLength(2);
  expect(reading.lines[0]?.name).toEqual({
    clinic: 'Tuck sitting tall',
    patient: 'Mentón atrás, sentado erguido',
    asWritten: false,
  });
  expect(reading.lines[0]?.texts[0]).toEqual({
    clinic: 'Do 10. Hold each for 5 seconds, rest 3 seconds. Once every day.',
    patient: 'Haga 10. Mantenga cada una 5 segundos, descanse 3 segundos. Una vez cada día.',
    asWritten: false,
  });
  // A dose that cannot be read yet is left out; the exercise is shown all the same.
  expect(reading.lines[1]?.texts[0]?.clinic).toBe(
    'Lie on your back with your knees bent. If your head tips back, put a thin pillow under it.',
  );
  expect(reading.lines.flatMap(({ texts }) => texts).some(({ asWritten }) => asWritten)).toBe(
    false,
  );
  expect(reading.stopSigns).toHaveLength(4);
});
