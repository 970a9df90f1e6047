import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { clinicOf, colleaguesOf } from '@/server/clinic';
import { currentMember } from '@/server/current';
import { knownZones } from '@/server/zones';
import { ClinicForm } from '@/ui/forms/clinic-form';
import { MemberForm } from '@/ui/forms/member-form';
import { MemberSwitch } from '@/ui/forms/member-switch';

export const metadata: Metadata = { title: 'Clinic and members' };

export default async function ClinicPage() {
  const member = await currentMember();
  if (member?.role !== 'lead') redirect('/');
  const [clinic, members] = await Promise.all([clinicOf(member), colleaguesOf(member)]);
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">Clinic and members</h1>
      <div className="grid gap-10 pt-4 lg:grid-cols-2">
        <section className="grid content-start gap-4">
          <h2 className="text-lg">Clinic</h2>
          <ClinicForm clinic={clinic} zones={knownZones(clinic.zone)} />
        </section>
        <section className="grid content-start gap-4">
          <h2 className="text-lg">Members</h2>
          <ul className="divide-y divide-hair border-y border-hair">
            {members.map((one) => (
              <li key={one.id} className="flex flex-wrap items-center gap-3 py-2">
                <div className="mr-auto min-w-0">
                  <p className="font-medium" dir="auto">
                    {one.name}
                  </p>
                  <p className="text-soft">
                    {one.role}, {one.email}
                    {!one.active && ', shut out'}
                  </p>
                </div>
                {one.id !== member.id && (
                  <MemberSwitch memberId={one.id} name={one.name} active={one.active} />
                )}
              </li>
            ))}
          </ul>
          <h2 className="pt-2 text-lg">Add a member</h2>
          <MemberForm />
        </section>
      </div>
    </>
  );
}
