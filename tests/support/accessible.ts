import { patientById, photosOf } from '@/db';
import { referralsOf } from '@/server/visit/referral';
import { carryOut } from '../../scripts/demo/visit';
import { VISITS } from '../../scripts/demo/visits';
import { alikeButtons, violations } from './axe';
import { DESK, beMember, freshPage, goTo } from './browser';
import { makePatient, type member, today } from './clinic';
import { BrowserStage } from './browser-stage';

/** A member's page that looks at one view after another. */
export async function looking(stage: BrowserStage, token: string | null) {
  const page = await freshPage(stage.browser, DESK);
  if (token) await beMember(page, stage.server.origin, token);
  const found: Record<string, string[]> = {};
  return {
    page,
    found,
    look: async (name: string) => {
      found[name] = [...(await violations(page, name)), ...(await alikeButtons(page))];
    },
    go: (path: string, origin = stage.server.origin) => goTo(page, `${origin}${path}`),
    clean: () =>
      expect(found).toEqual(Object.fromEntries(Object.keys(found).map((name) => [name, []]))),
  };
}

/** A patient whose screening blocks, with a letter, measures and two marked photos. */
export async function visited(by: Awaited<ReturnType<typeof member>>) {
  const id = await makePatient(by, 'Blocked Here');
  const nobody = () => Promise.reject(new Error('no device'));
  for (const visit of [...(VISITS['Ansel Corriwick'] ?? []), ...(VISITS['Corin Aldwick'] ?? [])])
    await carryOut(by, id, 'Neck', visit, today(), nobody);
  const patient = await patientById(by.clinicId, id);
  if (!patient) throw new Error('no patient');
  const [letter] = await referralsOf(patient);
  const photos = await photosOf(by.clinicId, id);
  return {
    id,
    letterId: letter?.referral.id ?? '',
    photoIds: photos.map((photo) => photo.id),
  };
}
