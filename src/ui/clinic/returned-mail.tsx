'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { FileLabel } from '../forms/file-label';
import { postBytes } from '../forms/post';

/** A mail that came back to the clinic's mailbox, put in as a file: the reminder it is about is marked. */
export function ReturnedMail() {
  const router = useRouter();
  const [said, setSaid] = useState<{ ok: boolean; say: string } | null>(null);
  async function take(text: string) {
    const answer = await postBytes<{ say: string }>(
      '/api/v1/clinic/mail/returned',
      new Blob([text]),
    );
    setSaid({ ok: answer.ok, say: answer.ok ? answer.value.say : answer.say });
    if (answer.ok) router.refresh();
  }
  return (
    <div className="flex flex-wrap items-center gap-3 pb-3">
      <FileLabel accept=".eml,message/rfc822,text/plain" onText={take}>
        Put in a mail that came back
      </FileLabel>
      {said && (
        <p role="status" className={said.ok ? '' : 'text-stop'}>
          {said.say}
        </p>
      )}
    </div>
  );
}
