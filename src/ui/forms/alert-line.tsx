'use client';

import { WarningSign } from '../primitives/icons';
import { Button } from '../primitives/button';
import { useSend } from './use-send';

const WORDS = {
  'stopped for a symptom': 'Stopped: something felt wrong',
  'conflicting log': 'Conflicting log',
  'new weakness': 'New weakness at the examination',
  'health answers': 'The patient’s health answers ask for a look today',
} as const;

/** An open alert, and the button with which a named person acknowledges it. */
export function AlertLine({
  alertId,
  kind,
  mayAcknowledge,
  escalated = false,
}: {
  alertId: string;
  kind: keyof typeof WORDS;
  mayAcknowledge: boolean;
  /** Nobody took it in the clinic's time. */
  escalated?: boolean;
}) {
  const { send } = useSend();
  return (
    <p className="flex flex-wrap items-center gap-2 font-semibold text-stop">
      <WarningSign />
      {WORDS[kind]}
      {escalated && ' – now the lead’s'}
      {mayAcknowledge && (
        <Button onClick={() => void send('/api/v1/alerts/acknowledge', { alertId })}>
          I have seen it
        </Button>
      )}
    </p>
  );
}
