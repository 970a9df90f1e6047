'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { v4 as uuid } from 'uuid';
import { type MeasureKindId, PROFILES, type Profile, wordsOf } from '@/core/measures';
import { isTyping } from '../forms/is-typing';
import { post } from '../forms/post';
import { Refusal } from '../forms/refusal';
import { Button } from '../primitives/button';
import { BenchPanel } from './instruments/bench-panel';
import { KindRow } from './kind-row';
import type { KnownMeasures } from './known';
import {
  type RowDraft,
  type SheetDraft,
  type Side,
  emptyRow,
  measurementOf,
  rowKey,
  stepsOf,
  touchedRows,
} from './sheet';

type Wrong = { readonly say: string; readonly key: string; readonly field: string };

/** The measuring sheet: what this complaint needs first, everything else on one key. */
export function MeasureDesk({
  patientId,
  profile,
  known,
}: {
  patientId: string;
  profile: Profile;
  known: KnownMeasures;
}) {
  const router = useRouter();
  const keptAs = `measures ${patientId}`;
  const [draft, setDraft] = useState<SheetDraft>({});
  const [all, setAll] = useState(false);
  const [busy, setBusy] = useState(false);
  const [wrong, setWrong] = useState<Wrong | null>(null);
  const touched = useMemo(() => touchedRows(draft), [draft]);

  // A reload or a new sign-in loses nothing; signing out forgets it.
  useEffect(() => {
    const kept = sessionStorage.getItem(keptAs);
    if (kept) setDraft(JSON.parse(kept) as SheetDraft);
  }, [keptAs]);
  useEffect(() => {
    if (touched.length > 0) sessionStorage.setItem(keptAs, JSON.stringify(draft));
    else if (Object.keys(draft).length > 0) sessionStorage.removeItem(keptAs);
  }, [keptAs, draft, touched]);

  const change = useCallback((kind: MeasureKindId, side: Side, part: Partial<RowDraft>) => {
    const key = rowKey(kind, side);
    setDraft((before) => ({
      ...before,
      [key]: { ...(before[key] ?? emptyRow(kind, uuid())), ...part },
    }));
    setWrong((now) => (now?.key === key ? null : now));
  }, []);

  const save = useCallback(async () => {
    if (busy || touched.length === 0) return;
    setBusy(true);
    const answer = await post('/api/v1/measurements', {
      patientId,
      measurements: touched.map(({ kind, side, row }) => measurementOf(kind, side, row)),
    });
    setBusy(false);
    if (!answer.ok) {
      const [, index, ...path] = answer.at;
      const row = typeof index === 'number' ? touched[index] : undefined;
      setWrong({
        say: row ? `${wordsOf(row.kind, row.side)}: ${answer.say}` : answer.say,
        key: row ? rowKey(row.kind, row.side) : '',
        field: path.join('.'),
      });
      return;
    }
    sessionStorage.removeItem(keptAs);
    setDraft({});
    setWrong(null);
    toast(`${touched.length} saved.`);
    router.refresh();
  }, [busy, touched, patientId, keptAs, router]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
        event.preventDefault();
        void save();
      }
      if (event.key === 'm' && !isTyping(event.target) && !event.ctrlKey && !event.metaKey)
        setAll((now) => !now);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [save]);

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6">
      <div className="flex flex-wrap items-center gap-3">
        <nav aria-label="Complaint" className="flex gap-1">
          {PROFILES.map((one) => (
            <Link
              key={one}
              href={`?profile=${one}`}
              aria-current={one === profile ? 'page' : undefined}
              className={`rounded border px-3 py-1 ${one === profile ? 'border-ink font-semibold text-ink' : 'border-hair text-action'}`}
            >
              {one}
            </Link>
          ))}
        </nav>
        <Button aria-pressed={all} onClick={() => setAll(!all)}>
          {all ? 'Only what comes first' : 'Every measurement'}{' '}
          <kbd className="figures text-soft">m</kbd>
        </Button>
      </div>
      {stepsOf(profile, all).map(({ step, name, kinds }) => (
        <section key={step} aria-labelledby={`step-${step}`}>
          <h2 id={`step-${step}`} className="border-b border-ink pb-1 text-lg">
            {name}
          </h2>
          {kinds.map((kind) => (
            <KindRow
              key={kind}
              kind={kind}
              draft={draft}
              known={known}
              errorAt={(key, field) =>
                wrong?.key === key && wrong.field === field ? wrong.say : ''
              }
              onChange={change}
            />
          ))}
        </section>
      ))}
      <div className="sticky bottom-0 z-10 grid gap-2 border-t border-ink bg-paper py-2">
        <Refusal say={wrong?.say ?? ''} />
        <div className="flex flex-wrap items-center gap-3">
          <Button look="main" disabled={busy || touched.length === 0} onClick={() => void save()}>
            {busy ? 'Saving …' : `Save ${touched.length} measured`}
          </Button>
          <span className="min-w-0 flex-1 truncate text-soft">
            {touched.map(({ kind, side }) => wordsOf(kind, side)).join(', ')}
          </span>
          <kbd className="figures text-soft">Ctrl Enter</kbd>
        </div>
      </div>
      <BenchPanel />
    </div>
  );
}
