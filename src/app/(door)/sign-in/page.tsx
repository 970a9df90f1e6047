import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { currentAnyMember } from '@/server/current';
import { firstRunCode } from '@/server/first-run';
import { SignInForm } from '@/ui/forms/sign-in-form';

export const metadata: Metadata = { title: 'Sign in' };

export default async function SignInPage() {
  if (await currentAnyMember()) redirect('/');
  if ((await firstRunCode()) !== null) redirect('/first-run');
  return (
    <section className="grid gap-4">
      <h1 className="text-xl">Sign in to your clinic</h1>
      <SignInForm />
    </section>
  );
}
