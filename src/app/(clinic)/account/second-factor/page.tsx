import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { requireAnyMember } from '@/server/require';
import { factorState } from '@/server/second-factor';
import { FactorSetup } from '@/ui/account/factor-setup';
import { legible } from '@/app/legible';

export const metadata: Metadata = { title: 'Second factor' };

export default legible(SecondFactorPage);

async function SecondFactorPage() {
  const member = await requireAnyMember();
  const { since } = await factorState(member);
  if (since !== null) redirect('/account');
  return (
    <>
      <h1 className="border-b border-hair pb-3 text-2xl">Second factor</h1>
      <p className="max-w-[75ch] py-3">
        {member.lacksFactor && <strong>Your clinic wants a second factor from everybody. </strong>}
        An app on your phone shows a code of six digits that changes every half minute. Signing in
        then asks for it beside your password.
      </p>
      <FactorSetup />
    </>
  );
}
