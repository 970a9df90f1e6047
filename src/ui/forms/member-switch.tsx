'use client';

import { useRouter } from 'next/navigation';
import { toast } from 'sonner';
import { Button } from '../primitives/button';
import { post } from './post';

/** Lets a member in again or keeps them out, which ends their sessions. */
export function MemberSwitch({
  memberId,
  name,
  active,
}: {
  memberId: string;
  name: string;
  active: boolean;
}) {
  const router = useRouter();
  return (
    <Button
      aria-label={`${active ? 'Shut out' : 'Let in'} ${name}`}
      onClick={async () => {
        const answer = await post('/api/v1/members/active', { memberId, active: !active });
        if (answer.ok) router.refresh();
        else toast.error(answer.say);
      }}
    >
      {active ? 'Shut out' : 'Let in'}
    </Button>
  );
}
