import type { ReactNode } from 'react';
import { sayToPatient } from '@/catalogue';
import { currentPatient } from '@/server/current';
import { languageFor } from '@/server/languages';
import { patientClinic } from '@/server/patient-pack';
import { unreadableIn } from '@/server/problem';
import { UnreadableRecord } from '@/ui/primitives/unreadable-record';

/**
 * A page that says which record it cannot read, instead of failing as a whole. Every other failure
 * goes on to the page of failures.
 */
export function legible<Props>(
  page: (props: Props) => ReactNode | Promise<ReactNode>,
): (props: Props) => Promise<ReactNode> {
  return async function LegiblePage(props) {
    try {
      return await page(props);
    } catch (error) {
      const say = unreadableIn(error);
      if (say === null) throw error;
      return <UnreadableRecord say={say} />;
    }
  };
}

/** As `legible`, for the patient's own pages: whom to call stands there instead of the record's name. */
export function legibleToPatient(page: () => Promise<ReactNode>): () => Promise<ReactNode> {
  return async function LegiblePage() {
    try {
      return await page();
    } catch (error) {
      const here = unreadableIn(error) === null ? null : await currentPatient();
      if (!here) throw error;
      const language = languageFor(here.patient);
      const { name, phone } = await patientClinic(here);
      return (
        <main lang={language.tag} className="patient mx-auto grid max-w-lg gap-4 px-5 py-10">
          <p role="alert">
            {sayToPatient(language, 'problem.unreadable', { clinic: name, phone })}
          </p>
        </main>
      );
    }
  };
}
