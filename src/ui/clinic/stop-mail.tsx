'use client';

import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';

/** Stops the reminders of a clinic to one reader. */
export function StopMail({
  token,
  clinic,
  stopped,
}: {
  token: string;
  clinic: string;
  stopped: boolean;
}) {
  const { busy, send } = useSend();
  if (stopped)
    return (
      <p role="status">
        <bdi>{clinic}</bdi> sends you no more reminders by e-mail. You can ask for them again on
        your phone, under Settings.
      </p>
    );
  return (
    <>
      <p>
        You get reminders of your exercises from <bdi>{clinic}</bdi>. Your programme stays as it is
        when you stop them.
      </p>
      <Button
        look="main"
        disabled={busy}
        className="justify-self-start"
        onClick={() => void send('/api/v1/mail/stop', { token })}
      >
        Stop the reminders
      </Button>
    </>
  );
}
