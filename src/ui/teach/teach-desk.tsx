'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { v4 as uuid } from 'uuid';
import type { BoutMode, DirectionName, Dose, Sides } from '@/core/dose';
import type { Figure } from '@/core/figure';
import type { BodyPart } from '@/core/symptoms';
import {
  type SeenFault,
  type Sentence,
  type TaughtLine,
  gapsOfLine,
  teachingGaps,
} from '@/core/teach';
import type { ExerciseId, PatientId, ProgrammeId } from '@/core/units';
import { useKeys } from '../forms/use-keys';
import { useSend } from '../forms/use-send';
import { KEEP_WORDS, useVisitDraft } from '../forms/use-visit-draft';
import { Button } from '../primitives/button';
import { type CountNow, useShowing } from '../share/use-showing';
import { AloudCounter } from './aloud-counter';
import { FinishPage } from './finish-page';
import { RunSheetPage } from './run-sheet-page';
import { SetUpPhotos, type ShownPhoto } from './set-up-photos';
import { ShowBar } from './show-bar';
import {
  type Question,
  type Teaching,
  nextStep,
  taughtOf,
  teachingIn,
  toggled,
  withLine,
} from './teach-state';

/** One exercise as the run sheet needs it. */
export type TeachPage = {
  readonly lineage: string;
  readonly exerciseId: ExerciseId;
  readonly name: string;
  readonly sentences: readonly Sentence[];
  readonly missing: readonly string[];
  readonly steps: readonly string[];
  readonly cues: readonly string[];
  readonly feel: string;
  readonly normal: string;
  readonly expected: readonly BodyPart[];
  readonly faults: readonly SeenFault[];
  readonly dose: Dose;
  readonly mode: BoutMode;
  readonly position: string;
  readonly directions: readonly DirectionName[];
  readonly sides: Sides | null;
  readonly text: string;
  readonly figure: Figure | null;
  readonly photos: readonly ShownPhoto[];
};

export type TeachDeskProps = {
  readonly patientId: PatientId;
  readonly version: {
    readonly programmeId: ProgrammeId;
    readonly number: number;
    readonly reviewOn: string | null;
  };
  readonly pages: readonly TeachPage[];
  readonly consented: boolean;
  readonly photosConsented: boolean;
  readonly kept: unknown;
  /** What the phone was shown when the page was loaded anew. */
  readonly leftShowing: { readonly id: string; readonly turn: number } | null;
  /** An assistant may read along but not sign. */
  readonly mayTeach: boolean;
};

/** The run sheet for the room: one exercise a page, led by one key, signed at the end. */
export function TeachDesk({
  patientId,
  version,
  pages,
  consented,
  photosConsented,
  kept,
  leftShowing,
  mayTeach,
}: TeachDeskProps) {
  const [teaching, setTeaching] = useState<Teaching>(() => teachingIn(kept));
  const [at, setAt] = useState(0);
  const { busy: signing, send } = useSend();
  const [refusal, setRefusal] = useState('');
  const asked = useRef<Question | null>(null);
  const signId = useRef('');
  const { state, forget } = useVisitDraft(patientId, 'teach', teaching);
  const title = useRef<HTMLHeadingElement>(null);

  const change = useCallback((line: TaughtLine) => setTeaching((now) => withLine(now, line)), []);
  const goTo = useCallback(
    (index: number) => {
      asked.current = null;
      setAt(Math.min(pages.length, Math.max(0, index)));
      window.scrollTo({ top: 0 });
      requestAnimationFrame(() => title.current?.focus());
    },
    [pages.length],
  );

  const page = pages[at];
  const { showing, put, begin, end } = useShowing(patientId, leftShowing);
  const lineage = page?.lineage ?? null;
  const onCount = useCallback((count: CountNow) => put(lineage, count), [put, lineage]);
  useEffect(() => {
    if (lineage === null) put(null, null);
  }, [lineage, put]);
  const step = useCallback(() => {
    if (!page) return;
    const line = taughtOf(teaching, page.lineage);
    const next = nextStep(line, asked.current);
    switch (next.kind) {
      case 'say':
        change({ ...line, said: toggled(line.said, next.part) });
        return show(`say-${next.part}`);
      case 'demonstrate':
        change({ ...line, demonstrated: true });
        return show('demonstrated');
      case 'watch':
        change({ ...line, watched: true });
        return show('watched');
      case 'ask':
        asked.current = next.question;
        return show(`ask-${next.question}`, true);
      case 'next page':
        return goTo(at + 1);
    }
  }, [page, teaching, change, goTo, at]);

  const stepBack = () => goTo(at - 1);
  useKeys(
    mayTeach
      ? [
          { key: 'ArrowRight', does: step },
          { key: 'PageDown', does: step },
          { key: 'ArrowLeft', does: stepBack },
          { key: 'PageUp', does: stepBack },
        ]
      : [],
  );

  const gaps = teachingGaps(
    pages,
    pages.map(({ lineage }) => taughtOf(teaching, lineage)),
    teaching.closing,
    consented,
  );

  async function sign() {
    setRefusal('');
    signId.current ||= uuid();
    const teachBack = {
      id: signId.current,
      patientId,
      programmeId: version.programmeId,
      version: version.number,
      lines: pages.map(({ lineage }) => taughtOf(teaching, lineage)),
      closing: teaching.closing,
    };
    await send('/api/v1/teach-backs', teachBack, {
      done: () => {
        signId.current = '';
        forget();
        setTeaching(teachingIn(null));
        setAt(0);
      },
      said: 'Signed. It stands in the record.',
      refused: ({ say }) => setRefusal(say),
    });
  }

  return (
    <div className="grid gap-x-6 gap-y-4 lg:grid-cols-[13rem_minmax(0,1fr)]">
      {mayTeach && <ShowBar showing={showing} begin={begin} end={end} />}
      <nav aria-label="Exercises" className="no-print">
        <ol className="grid gap-0.5 sm:grid-cols-3 lg:grid-cols-1">
          {pages.map((one, index) => {
            const open = gapsOfLine(one, taughtOf(teaching, one.lineage)).length;
            return (
              <li key={one.lineage}>
                <button
                  type="button"
                  onClick={() => goTo(index)}
                  aria-current={index === at ? 'step' : undefined}
                  className={`flex min-h-11 w-full items-center gap-2 border-l-4 px-2 text-left ${index === at ? 'border-lit bg-wash font-semibold' : 'border-transparent hover:bg-wash'}`}
                >
                  <span className="min-w-0 flex-1" dir="auto">
                    {one.name}
                  </span>
                  <span className="figures text-small text-soft">
                    {open === 0 ? '✓' : open}
                    <span className="sr-only">{open === 0 ? ' complete' : ' open'}</span>
                  </span>
                </button>
              </li>
            );
          })}
          <li>
            <button
              type="button"
              onClick={() => goTo(pages.length)}
              aria-current={at === pages.length ? 'step' : undefined}
              className={`flex min-h-11 w-full items-center gap-2 border-l-4 px-2 text-left ${at === pages.length ? 'border-lit bg-wash font-semibold' : 'border-transparent hover:bg-wash'}`}
            >
              <span className="flex-1">Before the patient leaves</span>
              <span className="figures text-small text-soft">{gaps.length}</span>
            </button>
          </li>
        </ol>
        <p className="pt-3 text-small text-soft" role="status">
          {KEEP_WORDS[state]}
        </p>
      </nav>
      <div className="grid content-start gap-4">
        {page ? (
          <>
            <header className="flex flex-wrap items-baseline gap-x-4">
              <h2 ref={title} tabIndex={-1} className="mr-auto text-xl outline-none" dir="auto">
                {at + 1}. {page.name}
              </h2>
              <code className="figures text-soft">{page.text}</code>
            </header>
            <div className="grid gap-6 xl:grid-cols-[minmax(0,1fr)_20rem]">
              <RunSheetPage
                key={page.lineage}
                page={page}
                line={taughtOf(teaching, page.lineage)}
                change={change}
                locked={!mayTeach}
              />
              <div className="xl:order-last">
                <AloudCounter key={page.lineage} {...page} onCount={onCount} />
                <SetUpPhotos
                  key={`${page.lineage} photos`}
                  patientId={patientId}
                  lineage={page.lineage}
                  name={page.name}
                  photos={page.photos}
                  consented={photosConsented}
                  mayTake={mayTeach}
                />
                <ol className="list-decimal pt-3 pl-5 text-soft">
                  {page.steps.map((one) => (
                    <li key={one}>{one}</li>
                  ))}
                </ol>
              </div>
            </div>
            <div className="no-print sticky bottom-0 flex flex-wrap items-center gap-2 border-t border-hair bg-paper py-2">
              <Button size="hand" disabled={at === 0} onClick={() => goTo(at - 1)}>
                Back
              </Button>
              {mayTeach && (
                <Button size="hand" look="main" onClick={step}>
                  Next <kbd className="figures text-small">→</kbd>
                </Button>
              )}
              <Button size="hand" look="quiet" onClick={() => goTo(at + 1)}>
                {at + 1 < pages.length ? 'Skip to the next exercise' : 'To the end'}
              </Button>
            </div>
          </>
        ) : (
          <FinishPage
            titleRef={title}
            gaps={gaps}
            closing={teaching.closing}
            reviewOn={version.reviewOn}
            versionNumber={version.number}
            onClosing={(closing) => setTeaching((now) => ({ ...now, closing }))}
            onGap={(lineage) => goTo(pages.findIndex((one) => one.lineage === lineage))}
            onSign={sign}
            signing={signing}
            refusal={refusal}
            maySign={mayTeach}
          />
        )}
      </div>
    </div>
  );
}

/** Brings what the key went to into view, and into focus where it wants an answer. */
function show(id: string, focus = false): void {
  requestAnimationFrame(() => {
    const found = document.getElementById(id);
    found?.scrollIntoView({ block: 'center' });
    if (focus) found?.focus({ preventScroll: true });
  });
}
