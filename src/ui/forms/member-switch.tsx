'use client';

import type { MemberId } from '@/core/units';
import { Button } from '../primitives/button';
import { useSend } from './use-send';

/** Lets a member in again or keeps them out, which ends their sessions. */
export function MemberSwitch({
  memberId,
  name,
  active,
}: {
  memberId: MemberId;
  name: string;
  active: boolean;
}) {
  const { send } = useSend();
  return (
    <Button
      aria-label={`${active ? 'Shut out' : 'Let in'} ${name}`}
      onClick={() => void send('/api/v1/members/active', { memberId, active: !active })}
    >
      {active ? 'Shut out' : 'Let in'}
    </Button>
  );
}
