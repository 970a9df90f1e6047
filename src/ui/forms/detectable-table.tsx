'use client';

import { useState } from 'react';
import {
  type Detectable,
  type DetectableChanges,
  KIND_IDS,
  type MeasureKindId,
  detectableOf,
  kindOf,
  marginInWords,
} from '@/core/measures';
import { Button } from '../primitives/button';
import { Field } from '../primitives/field';
import { useSend } from './use-send';
import { Refusal } from './refusal';
import { Form } from './form';

/** Which change of each measurement counts as real, and why; the lead may put the clinic's own. */
export function DetectableTable({ own }: { own: DetectableChanges }) {
  const kinds = KIND_IDS.filter((kind) => kindOf(kind).form !== 'choice');
  return (
    <div
      className="relative max-h-[32rem] overflow-auto border-y border-hair"
      tabIndex={0}
      role="region"
      aria-label="Detectable changes"
    >
      <table className="w-full min-w-[44rem]">
        <thead className="sticky top-0 bg-paper text-left">
          <tr>
            {['Measurement', 'Real from', 'Source', ''].map((name) => (
              <th key={name} scope="col" className="py-1 pr-4 font-semibold">
                {name || <span className="sr-only">Change</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {kinds.map((kind) => (
            <Row
              key={`${kind} ${JSON.stringify(own[kind])}`}
              kind={kind}
              own={own[kind] !== undefined}
              now={detectableOf(kind, own)}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Row({ kind, own, now }: { kind: MeasureKindId; own: boolean; now: Detectable }) {
  const { send } = useSend();
  const [editing, setEditing] = useState(false);
  const [value, setValue] = useState(now.margin && 'by' in now.margin ? String(now.margin.by) : '');
  const [source, setSource] = useState(own ? now.source : '');
  const [say, setSay] = useState('');
  const { name, unit } = kindOf(kind);

  async function set(next: { margin: { by: number }; source: string } | null) {
    await send(
      '/api/v1/measurements/detectable',
      { kind, own: next },
      {
        done: () => setEditing(false),
        said: next ? 'The clinic’s own change is kept.' : 'The built-in change counts again.',
        refused: (answer) => setSay(answer.say),
      },
    );
  }

  return (
    <tr className="border-t border-hair align-top">
      <th scope="row" className="py-1 pr-4 text-left font-normal">
        {name}
      </th>
      <td className="figures py-1 pr-4 whitespace-nowrap">{marginInWords(kind, now.margin)}</td>
      <td className="py-1 pr-4 text-soft">
        {own && <strong className="font-semibold text-ink">Own. </strong>}
        {now.source}
        {editing && (
          <Form
            className="grid gap-2 py-2 sm:grid-cols-[8rem_minmax(0,1fr)_auto] sm:items-end"
            noValidate
            onSubmit={(event) => {
              event.preventDefault();
              void set({ margin: { by: Number(value.replace(',', '.')) }, source });
            }}
          >
            <Field
              label={`Real from, ${unit || 'points'}`}
              inputMode="decimal"
              value={value}
              onChange={(event) => setValue(event.target.value)}
            />
            <Field
              label="Source"
              dir="auto"
              value={source}
              onChange={(event) => setSource(event.target.value)}
            />
            <Button type="submit">Keep</Button>
            <div className="sm:col-span-3">
              <Refusal say={say} />
            </div>
          </Form>
        )}
      </td>
      <td className="py-1 whitespace-nowrap">
        {own && (
          <Button look="quiet" onClick={() => void set(null)}>
            Built-in<span className="sr-only"> for {name}</span>
          </Button>
        )}
        <Button look="quiet" aria-expanded={editing} onClick={() => setEditing(!editing)}>
          Change<span className="sr-only"> {name}</span>
        </Button>
      </td>
    </tr>
  );
}
