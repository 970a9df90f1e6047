import { CLINIC_CAUTION } from '@/catalogue';
import { Lantern } from '@/ui/lantern/lantern';
import type { Rib } from '@/ui/lantern/rib';

const SHARES = [1, 1, 0.6, null, 1, 0.8, 1, null, 1];
const RIBS: Rib[] = SHARES.map((share, index) => ({
  kind: share === null ? 'rest' : 'lit',
  share: share ?? 0,
  isNow: index === SHARES.length - 1,
}));

/** The pages in front of the clinic: signing in, and setting up. */
export default function DoorLayout({ children }: { children: React.ReactNode }) {
  return (
    <main className="mx-auto grid min-h-dvh max-w-xl content-center gap-6 px-5 py-10">
      <header className="flex items-end gap-4 border-b border-hair pb-4">
        <Lantern ribs={RIBS} label="A paper lantern" height={92} />
        <div>
          <p className="text-2xl font-semibold">Dry Lantern</p>
          <p className="text-soft">Home exercise programmes for neck, back and posture.</p>
        </div>
      </header>
      {children}
      <footer className="border-t border-hair pt-3 text-small text-soft">{CLINIC_CAUTION}</footer>
    </main>
  );
}
