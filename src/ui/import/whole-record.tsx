'use client';

import { type LocalDate, shortDay } from '@/core/units';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { useState } from 'react';
import { RECORD_FILE_LIMIT } from '@/core/record-choices';
import { RECORD_WORDS, recordCount } from '@/core/whole-record';
import { postBytes } from '../forms/post';
import { useOneAtATime } from '../forms/use-one-at-a-time';
import { Refusal } from '../forms/refusal';
import { Button, buttonClass } from '../primitives/button';

/** What the server says of a record's file. */
type Looked = {
  readonly patientId: string;
  readonly name: string;
  readonly birthDate: LocalDate | null;
  readonly madeAt: string;
  readonly made: string;
  readonly isNew: boolean;
  readonly alike: string | null;
  readonly photos: number;
  readonly tables: readonly {
    readonly table: string;
    readonly fresh: number;
    readonly same: number;
    readonly differ: number;
  }[];
};

const sum = (looked: Looked, of: 'fresh' | 'same' | 'differ') =>
  looked.tables.reduce((total, row) => total + row[of], 0);

/** One patient's whole record from another installation: looked at first, then taken in whole or not at all. */
export function WholeRecordIn() {
  const [file, setFile] = useState<File | null>(null);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [isIn, setIsIn] = useState(false);
  const { busy, once } = useOneAtATime();
  const [asked, setAsked] = useState<'look' | 'in'>('look');
  const [say, setSay] = useState('');

  async function send(chosen: File, take: 'look' | 'in') {
    setSay('');
    setAsked(take);
    const path = `/api/v1/whole-records/in?take=${take}`;
    const answer = await once(() => postBytes<Looked>(path, chosen));
    if (!answer) return;
    if (!answer.ok) return setSay(answer.say);
    setLooked(answer.value);
    setIsIn(take === 'in');
  }
  function choose(chosen: File | undefined) {
    setLooked(null);
    setIsIn(false);
    setSay('');
    setFile(chosen ?? null);
    if (!chosen) return;
    if (chosen.size > RECORD_FILE_LIMIT) return setSay('The file is larger than 64 MB.');
    void send(chosen, 'look');
  }
  const fresh = looked ? sum(looked, 'fresh') : 0;
  const differ = looked ? sum(looked, 'differ') : 0;
  return (
    <div className="grid max-w-[75ch] gap-4">
      <p className="text-soft">
        The zip that another installation took out, or its record.json. Nothing is written before
        you have seen what is in it; then all of it is, or nothing.
      </p>
      <input
        type="file"
        accept=".zip,.json,application/zip,application/json"
        aria-label="Choose the record"
        disabled={busy}
        className="w-full file:mr-3 file:rounded file:border file:border-edge file:bg-sheet file:px-3 file:py-1.5 file:font-medium"
        onChange={({ target }) => choose(target.files?.[0])}
      />
      {busy && (
        <p role="status">
          {asked === 'look' ? 'Looking at the record …' : 'Taking the record in …'}
        </p>
      )}
      <Refusal say={say} />
      {looked && (
        <section className="grid gap-3" aria-live="polite">
          <h3 className="text-lg">
            <bdi>{looked.name}</bdi>
            {looked.birthDate !== null && <span>, born {shortDay(looked.birthDate)}</span>}
          </h3>
          <p className="text-soft">
            Taken out at <bdi>{looked.madeAt}</bdi> on {looked.made.slice(0, 10)}.{' '}
            {isIn
              ? ''
              : looked.isNew
                ? 'You do not have this patient yet.'
                : 'You have this patient.'}
          </p>
          {looked.alike !== null && (
            <p className="text-lit-ink">
              This may be somebody you have already: <bdi>{looked.alike}</bdi>. Taken in, they stand
              beside each other as two patients.
            </p>
          )}
          <table className="w-full text-left">
            <thead>
              <tr className="border-b border-hair">
                <th scope="col">What</th>
                <th scope="col" className="text-right">
                  New
                </th>
                <th scope="col" className="text-right">
                  Here already
                </th>
                <th scope="col" className="text-right">
                  Differs
                </th>
              </tr>
            </thead>
            <tbody>
              {looked.tables.map(({ table, fresh: isNew, same, differ: other }) => (
                <tr key={table} className="border-b border-hair">
                  <th scope="row" className="py-1 font-normal">
                    {RECORD_WORDS[table] ?? table}
                  </th>
                  <td className="figures text-right">{isNew}</td>
                  <td className="figures text-right">{same}</td>
                  <td className="figures text-right">{other}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {isIn ? (
            <div className="flex flex-wrap items-center gap-3">
              <p role="status" className="font-medium">
                {fresh === 0 ? 'Nothing was new: nothing was changed.' : 'The record was taken in.'}
              </p>
              <QuietLink href={`/patients/${looked.patientId}`} className={buttonClass('main')}>
                Open the file
              </QuietLink>
            </div>
          ) : differ > 0 ? (
            <p className="text-stop">
              {recordCount(differ)} here differ from the file, so none of it can be taken in:
              whoever keeps both decides which one holds. Nothing was changed.
            </p>
          ) : fresh === 0 ? (
            <p>Everything in it is here already.</p>
          ) : (
            <Button
              look="main"
              className="justify-self-start"
              disabled={busy || file === null}
              onClick={() => file && void send(file, 'in')}
            >
              Take in {recordCount(fresh)}
            </Button>
          )}
        </section>
      )}
    </div>
  );
}
