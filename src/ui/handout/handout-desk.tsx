'use client';

import { useState } from 'react';
import type { Handout, Paper } from '@/core/handout';
import type { PatientId } from '@/core/units';
import { useSending } from '../forms/use-sending';
import { Refusal } from '../forms/refusal';
import { FileMaking, useFile } from '../forms/use-file';
import { AnswersForWords } from '../plan/answers-for-words';
import { Button } from '../primitives/button';
import { HANDOUT_CSS } from './handout-css';
import { HandoutSheet } from './handout-sheet';

/** The sheet as it will be printed, with paper, type size and what its code opens. */
export function HandoutDesk({
  patientId,
  handout,
  unchecked,
}: {
  patientId: PatientId;
  handout: Handout;
  /** The patient's language while nobody of the clinic stands for its words; else null. */
  unchecked: string | null;
}) {
  const [answers, setAnswers] = useState(false);
  const [paper, setPaper] = useState<Paper>('a4');
  const [large, setLarge] = useState(false);
  const [link, setLink] = useState<string | null>(null);
  const [linking, setLinking] = useState(false);
  const { making, make, cancel, refusal: fileRefusal } = useFile();
  const busy = linking || making !== '';
  const { sending } = useSending();
  const [refusal, setRefusal] = useState('');

  async function newLink() {
    setLinking(true);
    setRefusal('');
    const answer = await sending<{ address: string }>('/api/v1/links', {
      patientId,
      answersForWords: answers,
    });
    setLinking(false);
    if (!answer) return;
    if (answer.ok) setLink(answer.value.address);
    else setRefusal(answer.say);
  }

  function file(format: 'pdf' | 'html') {
    setRefusal('');
    const order = { patientId, format, paper, large, link };
    const what = format === 'pdf' ? 'PDF' : 'file';
    return make(what, '/api/v1/handouts', order, `exercises.${format}`);
  }

  return (
    <div data-letter className="grid gap-6 lg:grid-cols-[minmax(0,46rem)_18rem] print:block">
      <style>{`${HANDOUT_CSS}@page{size:${paper === 'a4' ? 'A4' : 'letter'};margin:12mm}`}</style>
      <section
        aria-label="Handout"
        className="no-print grid content-start gap-4 lg:sticky lg:top-16 lg:order-last lg:self-start"
      >
        <h2 className="text-xl">Handout</h2>
        <div className="flex flex-wrap gap-2">
          <Button look="main" onClick={() => window.print()}>
            Print
          </Button>
          {handout.way === 'ltr' && (
            <Button disabled={busy} onClick={() => void file('pdf')}>
              PDF
            </Button>
          )}
          <Button disabled={busy} onClick={() => void file('html')}>
            File for e-mail
          </Button>
        </div>
        {handout.way === 'rtl' && (
          <p className="text-small text-soft">
            This language is written from right to left, and the PDF’s own drawing of it cannot be
            trusted with every dot and bracket. Print it, also to a PDF, from here: the browser sets
            it right.
          </p>
        )}
        <FileMaking making={making} cancel={cancel} />
        <Refusal say={refusal || fileRefusal} />
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
          <label className="flex items-center gap-2">
            Paper
            <select
              value={paper}
              onChange={(event) => setPaper(event.target.value as Paper)}
              className="rounded border border-edge bg-sheet px-2 py-1"
            >
              <option value="a4">A4</option>
              <option value="letter">US letter</option>
            </select>
          </label>
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              checked={large}
              onChange={() => setLarge(!large)}
              className="size-4 accent-action"
            />
            Large type
          </label>
        </div>
        <div className="grid justify-items-start gap-2 border-t border-hair pt-3">
          <h3 className="font-semibold">What the code opens</h3>
          {link === null ? (
            <>
              <p className="text-soft">
                The patient’s page, on a phone that has opened their link before.
              </p>
              {unchecked !== null && (
                <AnswersForWords language={unchecked} ticked={answers} onTick={setAnswers} />
              )}
              <Button
                disabled={busy || (unchecked !== null && !answers)}
                onClick={() => void newLink()}
              >
                Put a new personal link on it
              </Button>
              <p className="text-small text-soft">The one before stops working.</p>
            </>
          ) : (
            <p>
              A new personal link: whoever has this sheet can open the patient’s programme. Hand it
              over in person.
            </p>
          )}
        </div>
      </section>
      <div className="min-w-0">
        <HandoutSheet
          handout={link === null ? handout : { ...handout, address: link }}
          large={large}
        />
      </div>
    </div>
  );
}
