'use client';

import { QuietLink } from '@/ui/primitives/quiet-link';
import { useCallback, useMemo, useState } from 'react';
import { v4 as uuid } from 'uuid';
import {
  type EpisodeArea,
  type MeasureKindId,
  PROFILES,
  type Profile,
  wordsOf,
} from '@/core/measures';
import type { PatientId } from '@/core/units';
import { useKeys } from '../forms/use-keys';
import { KeptLine } from '../forms/kept-line';
import { useKeeping } from '../forms/use-keeping';
import { useSend } from '../forms/use-send';
import { Refusal } from '../forms/refusal';
import { Button } from '../primitives/button';
import { BenchPanel } from './instruments/bench-panel';
import { KindRow } from './kind-row';
import type { KnownMeasures } from './known';
import {
  type RowDraft,
  type SheetDraft,
  type Wrong,
  emptyRow,
  measurementOf,
  rowKey,
  stepsOf,
  touchedRows,
  wrongIn,
} from './sheet';
import type { Side } from './typed';

const NOTHING: SheetDraft = {};

/** The measuring sheet: what this complaint needs first, everything else on one key. */
export function MeasureDesk({
  patientId,
  profile,
  area,
  known,
  kept,
}: {
  patientId: PatientId;
  /** Whose measures stand first; null where neither the episode nor the page says so. */
  profile: Profile | null;
  /** What the episode is mainly of; null where nobody chose. */
  area: EpisodeArea | null;
  known: KnownMeasures;
  /** What was typed before the page was left. */
  kept: SheetDraft | null;
}) {
  const [draft, setDraft] = useState<SheetDraft>(kept ?? NOTHING);
  const [all, setAll] = useState(false);
  const { busy, send } = useSend();
  const [wrong, setWrong] = useState<Wrong | null>(null);
  const touched = useMemo(() => touchedRows(draft), [draft]);

  // Nothing that was typed needs no keeping: going back to it drops what was kept.
  const keeping = useKeeping<SheetDraft | null>({
    path: '/api/v1/visit-drafts',
    value: touched.length > 0 ? draft : null,
    unchanged: null,
    bodyOf: useCallback(
      (latest: SheetDraft | null) => ({
        patientId,
        kind: 'measures',
        body: latest && JSON.stringify(latest),
      }),
      [patientId],
    ),
  });

  const change = useCallback((kind: MeasureKindId, side: Side, part: Partial<RowDraft>) => {
    const key = rowKey(kind, side);
    setDraft((before) => ({
      ...before,
      [key]: { ...(before[key] ?? emptyRow(kind, uuid())), ...part },
    }));
    setWrong((now) => (now?.key === key ? null : now));
  }, []);

  async function save() {
    if (touched.length === 0) return;
    const measurements = touched.map(({ kind, side, row }) => measurementOf(kind, side, row));
    await send(
      '/api/v1/measurements',
      { patientId, measurements },
      {
        done: () => {
          setDraft(NOTHING);
          setWrong(null);
        },
        said: `${touched.length} saved.`,
        refused: (answer) => setWrong(wrongIn(answer, touched)),
      },
    );
  }

  useKeys([
    { key: 'Enter', held: 'command', whileTyping: true, does: () => void save() },
    { key: 'm', held: 'alt', whileTyping: true, does: () => setAll((now) => !now) },
  ]);

  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-6">
      <div className="flex flex-wrap items-center gap-3">
        <nav aria-label="Complaint" className="flex gap-1">
          {PROFILES.map((one) => (
            <QuietLink
              key={one}
              href={`?profile=${one}`}
              aria-current={one === profile ? 'page' : undefined}
              className={`rounded border px-3 py-1 ${one === profile ? 'border-ink font-semibold text-ink' : 'border-edge text-action'}`}
            >
              {one}
            </QuietLink>
          ))}
        </nav>
        <Button aria-pressed={all} onClick={() => setAll(!all)}>
          {all ? 'Only what comes first' : 'Every measurement'}{' '}
          <kbd className="figures text-soft">Alt M</kbd>
        </Button>
      </div>
      {profile === null && <OfNone patientId={patientId} area={area} />}
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
          <KeptLine state={keeping.state} wasKept={false} />
          <kbd className="figures text-soft">Ctrl Enter</kbd>
        </div>
      </div>
      <BenchPanel />
    </div>
  );
}

/** Why more stands here than one complaint needs, and where to say what it is of. */
function OfNone({ patientId, area }: { patientId: PatientId; area: EpisodeArea | null }) {
  return (
    <p className="text-soft">
      {area === null
        ? 'Nobody has said what this complaint is mainly of'
        : 'This complaint is of another area than neck, back or posture'}
      : what comes first for any of them stands here. Choose one above
      {area === null && (
        <>
          , or{' '}
          <QuietLink href={`/patients/${patientId}?view=summary`} className="text-action underline">
            say it on the summary
          </QuietLink>
        </>
      )}
      .
    </p>
  );
}
