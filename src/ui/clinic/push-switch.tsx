'use client';

import { useState } from 'react';
import { Refusal } from '../forms/refusal';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';

/** Whether patients may be reminded by a notice on their own phone. */
export function PushSwitch({ on }: { on: boolean }) {
  const { busy, send } = useSend();
  const [refusal, setRefusal] = useState('');
  return (
    <div className="grid gap-2">
      <Refusal say={refusal} />
      <p className="flex flex-wrap items-center gap-3">
        <strong className="font-semibold">
          {on ? 'Patients can choose notices.' : 'No notices are sent.'}
        </strong>
        <Button
          disabled={busy}
          onClick={() => {
            setRefusal('');
            void send(
              '/api/v1/clinic/push',
              { on: !on },
              {
                said: on ? 'Notices are off.' : 'Notices are on: patients find them in Settings.',
                refused: ({ say }) => setRefusal(say),
              },
            );
          }}
        >
          {on ? 'Turn notices off' : 'Turn notices on'}
        </Button>
      </p>
    </div>
  );
}
