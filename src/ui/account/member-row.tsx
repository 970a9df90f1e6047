'use client';

import { useState } from 'react';
import type { Role } from '@/core/records';
import type { MemberId } from '@/core/units';
import { useSend } from '../forms/use-send';
import { Button } from '../primitives/button';
import { AllowedForm } from './allowed-form';
import { HandOverForm } from './hand-over-form';
import { HandedOver } from './handed-over';

type Row = {
  readonly id: MemberId;
  readonly name: string;
  readonly email: string;
  readonly role: Role;
  readonly active: boolean;
  readonly sees: 'all' | 'chosen';
  readonly issuesLinks: boolean;
};

type Person = { readonly id: MemberId; readonly name: string };

/** A member as the lead sees them: role, a new password link, shut out or let in. */
export function MemberRow({
  member,
  isSelf,
  practitioners,
  sees,
  patients,
  hasFactor,
}: {
  member: Row;
  isSelf: boolean;
  /** Who may have patients. */
  practitioners: readonly Person[];
  /** Whose patients' files an assistant sees who does not see all. */
  sees: readonly MemberId[];
  /** How many patients the member has. */
  patients: number;
  hasFactor: boolean;
}) {
  const { id, name, email, role, active } = member;
  const { busy, send } = useSend();
  // A key that slips over the list chooses and changes nothing.
  const [wanted, setWanted] = useState(role);
  const [address, setAddress] = useState('');
  return (
    <li className="grid gap-2 py-2">
      <div className="flex flex-wrap items-center gap-3">
        <div className="mr-auto min-w-0">
          <p className="font-medium" dir="auto">
            {name}
          </p>
          <p className="text-soft">
            {isSelf && `${role}, `}
            {email}
            {hasFactor && ', with a second factor'}
            {!active && ', shut out'}
          </p>
        </div>
        {!isSelf && (
          <>
            <select
              aria-label={`Role of ${name}`}
              className="rounded border border-edge bg-sheet px-2 py-1"
              value={wanted}
              disabled={busy}
              onChange={(event) => setWanted(event.target.value as Role)}
            >
              <option value="assistant">assistant</option>
              <option value="practitioner">practitioner</option>
              <option value="lead">lead</option>
            </select>
            {wanted !== role && (
              <Button
                look="main"
                disabled={busy}
                onClick={() =>
                  void send(
                    '/api/v1/members/role',
                    { memberId: id, role: wanted },
                    { said: `${name} is ${wanted} now.` },
                  )
                }
              >
                Make {wanted}
              </Button>
            )}
            <Button
              disabled={busy}
              aria-label={`New password link for ${name}`}
              onClick={() =>
                void send<{ address: string }>(
                  '/api/v1/members/reset',
                  { memberId: id },
                  { done: (value) => setAddress(value.address) },
                )
              }
            >
              New password link
            </Button>
            <Button
              disabled={busy}
              aria-label={`${active ? 'Shut out' : 'Let in'} ${name}`}
              onClick={() => void send('/api/v1/members/active', { memberId: id, active: !active })}
            >
              {active ? 'Shut out' : 'Let in'}
            </Button>
          </>
        )}
      </div>
      {!isSelf && hasFactor && (
        <Button
          disabled={busy}
          className="justify-self-start"
          aria-label={`Take the second factor of ${name} away: the phone is lost`}
          onClick={() =>
            void send(
              '/api/v1/members/factor',
              { memberId: id },
              { said: `${name} signs in with the password alone until a new one is set up.` },
            )
          }
        >
          Lost phone: take the second factor away
        </Button>
      )}
      {role === 'assistant' && (
        <AllowedForm
          memberId={id}
          name={name}
          start={{ sees: member.sees, practitioners: sees, issuesLinks: member.issuesLinks }}
          practitioners={practitioners}
        />
      )}
      {patients > 0 && (
        <HandOverForm
          from={member}
          count={patients}
          others={practitioners.filter((one) => one.id !== id)}
        />
      )}
      {address !== '' && <HandedOver name={name} address={address} />}
    </li>
  );
}
