'use client';

import { type FormEvent, useCallback, useState } from 'react';
import type { KeptFields, OwnDraftRecord, VisitDraftRecord } from '@/core/records';
import type { PatientId } from '@/core/units';
import { useKeeping } from './use-keeping';

/** Where a form is kept: among the drafts of a patient's visit, or among the member's own. */
export type KeptAt =
  | { readonly patientId: PatientId; readonly kind: VisitDraftRecord['kind'] }
  | { readonly kind: OwnDraftRecord['kind'] };

/** What stands in a form's fields by their names; boxes that are not ticked and secrets are left out. */
export function fieldsOf(form: HTMLFormElement): KeptFields {
  return Object.fromEntries(
    [...new FormData(form)].flatMap(([name, value]) =>
      typeof value === 'string' && name !== 'password' ? [[name, value]] : [],
    ),
  );
}

/**
 * Keeps a form at the clinic while it is filled in. Its fields begin with what was kept before
 * (`kept`), so that neither a reload, Back nor a closed tab loses it.
 *
 * @returns for the form: `onInput` and `onChange`; `forget` for after it was sent, when the server has
 *   dropped it by itself
 */
export function useKeptForm(at: KeptAt) {
  const [fields, setFields] = useState<KeptFields | null>(null);
  const patientId = 'patientId' in at ? at.patientId : null;
  const { kind } = at;
  const bodyOf = useCallback(
    (latest: KeptFields | null) =>
      patientId === null
        ? { kind, fields: latest }
        : { patientId, kind, body: latest && JSON.stringify(latest) },
    [patientId, kind],
  );
  const path = patientId === null ? '/api/v1/own-drafts' : '/api/v1/visit-drafts';
  const { state, forget } = useKeeping<KeptFields | null>({ path, value: fields, bodyOf });
  const keep = useCallback(
    (event: FormEvent<HTMLFormElement>) => setFields(fieldsOf(event.currentTarget)),
    [],
  );
  return { state, forget, onInput: keep };
}
