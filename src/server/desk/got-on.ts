import { type GotOn, type OneGotOn, GOT_ON_DAYS, gotOn, oneGotOn } from '@/core/outlook';
import { type ClinicId, type ExerciseId, addDays } from '@/core/units';
import { patientsById, patientsGiven } from '@/db';
import { breather } from '../breathe';
import { factsOf, todayOf } from '../programme-facts';
import { catalogueFor } from './exercises';

/** Patients whose days are read together: few, since each brings twelve weeks of them. */
const CHUNK = 5;

/**
 * How this clinic's patients got on with an exercise: those given it last, over their last weeks. Others
 * are let in between, since a hundred patients' days take a while to read.
 */
export async function gotOnWith(clinicId: ClinicId, exerciseId: ExerciseId): Promise<GotOn> {
  const ids = await patientsGiven(clinicId, exerciseId);
  const catalogue = await catalogueFor(clinicId);
  const breathe = breather();
  const ones: OneGotOn[] = [];
  for (let from = 0; from < ids.length; from += CHUNK) {
    const patients = await patientsById(clinicId, ids.slice(from, from + CHUNK));
    const [first] = patients;
    if (!first) continue;
    const today = todayOf(first);
    const facts = await factsOf(clinicId, patients, addDays(today, -GOT_ON_DAYS), today);
    for (const one of facts) {
      await breathe();
      const reports = new Map(one.doneRows.map((row) => [row.localDate, row.report] as const));
      const found = oneGotOn({ facts: one, reports }, exerciseId, catalogue.byId);
      if (found) ones.push(found);
    }
  }
  return gotOn(ones);
}
