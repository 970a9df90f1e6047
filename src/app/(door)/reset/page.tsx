import type { Metadata } from 'next';
import { ResetForm } from '@/ui/account/reset-form';

export const metadata: Metadata = { title: 'Set your password', robots: 'noindex' };

export default function ResetPage() {
  return (
    <section className="grid gap-4">
      <h1 className="text-xl">Set your password</h1>
      <ResetForm />
    </section>
  );
}
