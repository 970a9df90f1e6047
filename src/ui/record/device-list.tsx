'use client';

import type { PatientId } from '@/core/units';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';

/** The devices on which a patient's link was opened; each can be ended by itself. */
export function DeviceList({
  patientId,
  devices,
  allowed,
}: {
  patientId: PatientId;
  devices: readonly {
    readonly id: string;
    readonly since: string;
    readonly lastUsed: string | null;
  }[];
  allowed: boolean;
}) {
  const { busy, send } = useSend();
  if (devices.length === 0) return <p>The patient’s link is open on no device.</p>;
  return (
    <ul className="divide-y divide-hair border-y border-hair">
      {devices.map(({ id, since, lastUsed }) => (
        <li key={id} className="flex flex-wrap items-center gap-3 py-2">
          <span className="mr-auto">
            Opened {since},{' '}
            {lastUsed === null ? 'not used since this is kept' : <>last used {lastUsed}</>}
          </span>
          {allowed && (
            <Button
              disabled={busy}
              aria-label={`End it: the device opened ${since}`}
              onClick={() =>
                void send(
                  '/api/v1/devices/end',
                  { patientId, device: id },
                  { said: 'Ended. What is not sent yet stays on that phone until it can be.' },
                )
              }
            >
              End it
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
