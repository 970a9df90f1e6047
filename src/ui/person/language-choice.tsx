'use client';

import type { PatientId } from '@/core/units';
import { useSend } from '../forms/use-send';
import { Choice } from '../primitives/field';

/** The language a patient's phone begins with; nothing to choose where the clinic has one. */
export function LanguageChoice({
  patientId,
  language,
  languages,
}: {
  patientId: PatientId;
  language: string;
  languages: readonly { readonly tag: string; readonly name: string }[];
}) {
  const { busy, send } = useSend();
  if (languages.length < 2) return null;
  return (
    <div className="max-w-xs">
      <Choice
        label="Language of the phone and the reminders"
        value={language}
        disabled={busy}
        hint="The patient may choose another one on the phone."
        onChange={({ target }) =>
          void send(
            '/api/v1/patients/language',
            { patientId, language: target.value },
            { said: 'The language is set.' },
          )
        }
      >
        {languages.map(({ tag, name }) => (
          <option key={tag} value={tag} lang={tag}>
            {name}
          </option>
        ))}
      </Choice>
    </div>
  );
}
