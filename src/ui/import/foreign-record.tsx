'use client';

import { type LocalDate, shortDay } from '@/core/units';
import { QuietLink } from '@/ui/primitives/quiet-link';
import { type ChangeEvent, useState } from 'react';
import { v4 as uuid } from 'uuid';
import { AREA_WORDS } from '@/core/measures';
import { FOREIGN_FILE_LIMIT } from '@/core/record-choices';
import { Refusal } from '../forms/refusal';
import { type Refused, useSend } from '../forms/use-send';
import { Button, buttonClass } from '../primitives/button';
import { Choice, Field } from '../primitives/field';
import { Form } from '../forms/form';

type Line = {
  readonly what: string;
  readonly value: string;
  readonly on: string;
  readonly state: 'new' | 'here' | 'differs';
};

/** What the server says of another system's file. */
type Preview = {
  readonly patient: {
    readonly name: string;
    readonly birthDate: LocalDate | null;
    readonly sex: string | null;
    readonly phones: readonly string[];
    readonly email: string;
    readonly clinicNumber: string;
    readonly from: string;
  };
  readonly lines: readonly Line[];
  readonly left: readonly { readonly what: string; readonly why: string }[];
  readonly others: Readonly<Record<string, number>>;
  readonly alike: string | null;
  readonly unlike: readonly string[];
};

const STATE: Readonly<Record<Line['state'], string>> = {
  new: 'new',
  here: 'here already',
  differs: 'differs from what was taken in before; that one is kept',
};

/**
 * A patient and their measurements from another system's file: looked at first, then taken in.
 *
 * @param patientId whose record it is taken into; null makes a new patient
 */
export function ForeignRecordIn({ patientId }: { patientId: string | null }) {
  const { busy, send } = useSend();
  const [text, setText] = useState('');
  const [preview, setPreview] = useState<Preview | null>(null);
  const [id, setId] = useState('');
  const [say, setSay] = useState('');
  const [at, setAt] = useState<Refused['at']>([]);
  const [taken, setTaken] = useState<{ readonly id: string; readonly measured: number } | null>(
    null,
  );
  const [from, setFrom] = useState('');
  const [complaint, setComplaint] = useState('');
  const [area, setArea] = useState('');
  const [sure, setSure] = useState(false);
  const refused = (answer: Refused) => {
    setSay(answer.say);
    setAt(answer.at);
  };

  async function look(event: ChangeEvent<HTMLInputElement>) {
    const file = event.target.files?.[0];
    setPreview(null);
    setTaken(null);
    setSay('');
    setAt([]);
    if (!file) return;
    if (file.size > 4 * FOREIGN_FILE_LIMIT)
      return setSay('This file is too large: at most 600,000 characters.');
    const read = await file.text();
    await send<Preview>(
      '/api/v1/foreign-records/preview',
      { text: read, patientId },
      {
        done: (found) => {
          setText(read);
          setId(uuid());
          setSure(false);
          setFrom(found.patient.from);
          setPreview(found);
        },
        refused,
      },
    );
  }

  async function take() {
    setSay('');
    setAt([]);
    await send<{ id: string; measured: number }>(
      '/api/v1/foreign-records',
      {
        text,
        from,
        into:
          patientId === null
            ? {
                kind: 'new',
                id,
                complaint,
                area: area === '' ? null : area,
                another: sure,
              }
            : { kind: 'here', id: patientId, isSame: sure },
      },
      {
        done: (done) => {
          setTaken(done);
          setPreview(null);
        },
        refused,
      },
    );
  }

  const others = Object.entries(preview?.others ?? {});
  const asked = patientId === null ? preview?.alike : preview?.unlike.join(' ');
  return (
    <div className="grid max-w-[75ch] gap-4">
      <p className="text-soft">
        HL7 FHIR R4 as JSON: a patient, or a bundle with one patient and observations. Only kinds of
        measurement that are known here are taken; what is left out is named.
      </p>
      <input
        type="file"
        accept=".json,application/json,application/fhir+json"
        aria-label="Choose the file of another system"
        disabled={busy}
        className="w-full file:mr-3 file:rounded file:border file:border-edge file:bg-sheet file:px-3 file:py-1.5 file:font-medium"
        onChange={look}
      />
      <Refusal say={say} />
      {taken && (
        <p role="status">
          {taken.measured === 0
            ? 'All of it is here already; nothing was changed.'
            : `Taken in: ${taken.measured} ${taken.measured === 1 ? 'measurement' : 'measurements'}.`}{' '}
          <QuietLink href={`/patients/${taken.id}`} className={buttonClass('quiet')}>
            Open the file
          </QuietLink>
        </p>
      )}
      {preview && (
        <Form
          className="grid gap-3"
          aria-live="polite"
          onSubmit={(event) => {
            event.preventDefault();
            void take();
          }}
        >
          <h3 className="text-lg">
            <bdi>{preview.patient.name}</bdi>
            {preview.patient.birthDate !== null && (
              <>, born {shortDay(preview.patient.birthDate)}</>
            )}
          </h3>
          {asked && (
            <label className="flex items-baseline gap-2 border-l-4 border-lit px-3 py-1">
              <input
                type="checkbox"
                checked={sure}
                onChange={({ target }) => setSure(target.checked)}
                className="size-4"
              />
              <span>
                <strong className="font-semibold">
                  {patientId === null ? `This may be somebody you have already: ${asked}.` : asked}
                </strong>{' '}
                {patientId === null ? 'It is another person.' : 'It is the same person.'}
              </span>
            </label>
          )}
          {patientId === null && (
            <p>
              {[
                preview.patient.sex ?? '',
                ...preview.patient.phones,
                preview.patient.email,
                preview.patient.clinicNumber && `number ${preview.patient.clinicNumber}`,
              ]
                .filter((part) => part !== '')
                .join(' · ') || 'Nothing else of them is known.'}
            </p>
          )}
          {preview.lines.length > 0 ? (
            <table className="w-full">
              <caption className="pb-1 text-left">
                {preview.lines.filter(({ state }) => state === 'new').length} of{' '}
                {preview.lines.length} measurements are new here.
              </caption>
              <thead className="border-b border-hair text-left">
                <tr>
                  {['Measured', 'Value', 'On', 'Here'].map((name) => (
                    <th key={name} scope="col" className="py-1 pr-4 font-semibold">
                      {name}
                    </th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {preview.lines.map(({ what, value, on, state }, nth) => (
                  <tr key={`${nth} ${what}`} className="border-b border-hair">
                    <td className="py-1 pr-4">{what}</td>
                    <td className="py-1 pr-4">{value}</td>
                    <td className="py-1 pr-4">{on}</td>
                    <td className={`py-1 ${state === 'differs' ? 'font-semibold text-stop' : ''}`}>
                      {STATE[state]}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          ) : (
            <p>There is no measurement in it that is known here.</p>
          )}
          {(preview.left.length > 0 || others.length > 0) && (
            <details open={preview.left.length <= 8}>
              <summary className="font-semibold">
                Left out ({preview.left.length + others.length})
              </summary>
              <ul className="list-disc pl-5">
                {preview.left.map(({ what, why }, nth) => (
                  <li key={`${nth} ${what}`}>
                    <span dir="auto">{what}</span>: {why}.
                  </li>
                ))}
                {others.map(([type, count]) => (
                  <li key={type}>
                    {type} ({count}): only patients and observations are read.
                  </li>
                ))}
              </ul>
            </details>
          )}
          <Field
            label="Where it comes from"
            hint="Kept with every measurement."
            value={from}
            maxLength={200}
            error={at[0] === 'from' ? say : ''}
            onChange={(event) => setFrom(event.target.value)}
          />
          {patientId === null && (
            <>
              <Field
                label="What they come for"
                value={complaint}
                maxLength={200}
                error={at.includes('complaint') ? say : ''}
                onChange={(event) => setComplaint(event.target.value)}
              />
              <Choice
                label="The complaint is mainly of"
                value={area}
                onChange={({ target }) => setArea(target.value)}
              >
                <option value="">not said</option>
                {Object.entries(AREA_WORDS).map(([one, name]) => (
                  <option key={one} value={one}>
                    {name}
                  </option>
                ))}
              </Choice>
            </>
          )}
          <Button type="submit" look="main" disabled={busy} className="justify-self-start">
            {patientId === null ? 'Add this patient' : 'Take the new measurements in'}
          </Button>
        </Form>
      )}
    </div>
  );
}
