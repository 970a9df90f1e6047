'use client';

import { useState } from 'react';
import type { MemberId } from '@/core/units';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';

export type Allowed = {
  readonly sees: 'all' | 'chosen';
  readonly practitioners: readonly MemberId[];
  readonly issuesLinks: boolean;
};

/** What the lead allows an assistant: which files, and whether to issue links. */
export function AllowedForm({
  memberId,
  name,
  start,
  practitioners,
}: {
  memberId: MemberId;
  name: string;
  start: Allowed;
  practitioners: readonly { readonly id: MemberId; readonly name: string }[];
}) {
  const { busy, send } = useSend();
  const [sees, setSees] = useState(start.sees);
  const [chosen, setChosen] = useState<readonly MemberId[]>(start.practitioners);
  const [issuesLinks, setIssuesLinks] = useState(start.issuesLinks);
  return (
    <details className="border-l-2 border-hair pl-3">
      <summary className="cursor-pointer text-action">
        What {name} may: {start.sees === 'all' ? 'every file' : 'some files'},{' '}
        {start.issuesLinks ? 'links' : 'no links'}
      </summary>
      <div className="grid gap-3 pt-2">
        <fieldset className="grid gap-1">
          <legend className="font-medium">Files</legend>
          {(['all', 'chosen'] as const).map((one) => (
            <label key={one} className="flex items-baseline gap-2">
              <input
                type="radio"
                name={`sees-${memberId}`}
                checked={sees === one}
                onChange={() => setSees(one)}
              />
              {one === 'all' ? 'all of the clinic' : 'those of the patients of'}
            </label>
          ))}
          {sees === 'chosen' &&
            practitioners.map((one) => (
              <label key={one.id} className="flex items-baseline gap-2 pl-6">
                <input
                  type="checkbox"
                  checked={chosen.includes(one.id)}
                  onChange={(event) =>
                    setChosen(
                      event.target.checked
                        ? [...chosen, one.id]
                        : chosen.filter((id) => id !== one.id),
                    )
                  }
                />
                <bdi>{one.name}</bdi>
              </label>
            ))}
        </fieldset>
        <label className="flex items-baseline gap-2">
          <input
            type="checkbox"
            checked={issuesLinks}
            onChange={(event) => setIssuesLinks(event.target.checked)}
          />
          May issue and end patients’ links
        </label>
        <Button
          disabled={busy}
          className="justify-self-start"
          onClick={() =>
            void send(
              '/api/v1/members/allow',
              { memberId, sees, practitioners: chosen, issuesLinks },
              { said: 'Saved.' },
            )
          }
        >
          Save what {name} may
        </Button>
      </div>
    </details>
  );
}
