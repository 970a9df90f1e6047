'use client';

import { useState } from 'react';
import { v4 as uuid } from 'uuid';
import { ASKED_PROPS, POSITIONS } from '@/core/exercise';
import type { HomeBody } from '@/core/records';
import { type PatientId, clockText, clockMinute } from '@/core/units';
import { useSend } from '../../forms/use-send';
import { Refusal } from '../../forms/refusal';
import { Button } from '../../primitives/button';
import { Dialog } from '../../primitives/dialog';
import { Choice, Field, INPUT_CLASS } from '../../primitives/field';

type Block = {
  readonly id: string;
  readonly from: string;
  readonly to: string;
  readonly label: string;
};

const NO_HOME: HomeBody = { props: [], weights: [], unit: 'kg', cannot: [], busy: [] };

/** What there is at home, what the patient cannot take up, and what fills the day. */
export function HomeDialog({
  open,
  onClose,
  patientId,
  home,
  homeId,
  today,
}: {
  open: boolean;
  onClose: () => void;
  patientId: PatientId;
  home: HomeBody | null;
  /** The entry it brings up to date. */
  homeId: string | null;
  today: string;
}) {
  const { send } = useSend();
  const start = home ?? NO_HOME;
  const [props, setProps] = useState<readonly string[]>(start.props);
  const [cannot, setCannot] = useState<HomeBody['cannot']>(start.cannot);
  const [weights, setWeights] = useState(start.weights.join(' '));
  const [unit, setUnit] = useState(start.unit);
  const [busy, setBusy] = useState<readonly Block[]>(
    start.busy.map(({ from, to, label }) => ({
      id: uuid(),
      from: clockText(from),
      to: clockText(to),
      label,
    })),
  );
  const [refusal, setRefusal] = useState('');

  async function save() {
    const owned = weights.split(/[\s;]+/).filter((text) => text !== '');
    const entry = {
      id: uuid(),
      patientId,
      kind: 'home',
      supersedes: homeId,
      on: today,
      body: {
        props,
        cannot,
        unit,
        weights: owned.map((text) => Number(text.replace(',', '.'))),
        busy: busy.map(({ from, to, label }) => ({
          from: clockMinute(from),
          to: clockMinute(to),
          label,
        })),
      },
    };
    await send('/api/v1/entries', entry, {
      done: () => {
        onClose();
        setRefusal('');
      },
      said: 'Home and day kept.',
      refused: ({ say }) => setRefusal(say),
    });
  }

  const toggle = <T extends string>(list: readonly T[], one: T): T[] =>
    list.includes(one) ? list.filter((other) => other !== one) : [...list, one];
  const change = (id: string, fields: Partial<Block>) =>
    setBusy(busy.map((block) => (block.id === id ? { ...block, ...fields } : block)));

  return (
    <Dialog
      open={open}
      onClose={onClose}
      title="Home and day"
      about="What there is to exercise with, what the patient cannot take up, and when there is no time. A wall, a towel, pillows, a blanket and a chair are taken to be there."
    >
      <Ticks
        legend="There is"
        all={ASKED_PROPS}
        ticked={props}
        onTick={(one) => setProps(toggle(props, one))}
      />
      <div className="grid grid-cols-[minmax(0,1fr)_6rem] gap-3">
        <Field
          label="Weights"
          value={weights}
          onChange={(event) => setWeights(event.target.value)}
          hint="Such as 2 4 7.5"
        />
        <Choice
          label="Unit"
          value={unit}
          onChange={(event) => setUnit(event.target.value as HomeBody['unit'])}
        >
          <option value="kg">kg</option>
          <option value="lb">lb</option>
        </Choice>
      </div>
      <Ticks
        legend="Cannot take the position"
        all={POSITIONS}
        ticked={cannot}
        onTick={(one) => setCannot(toggle(cannot, one))}
      />
      <fieldset className="grid gap-2">
        <legend className="font-medium">Meals, work and other blocks</legend>
        {busy.map((block) => (
          <div key={block.id} className="flex flex-wrap items-center gap-2">
            <input
              type="time"
              aria-label="From"
              className={`${INPUT_CLASS} w-28`}
              value={block.from}
              onChange={(event) => change(block.id, { from: event.target.value })}
            />
            <input
              type="time"
              aria-label="To"
              className={`${INPUT_CLASS} w-28`}
              value={block.to}
              onChange={(event) => change(block.id, { to: event.target.value })}
            />
            <input
              aria-label="What it is"
              className={`${INPUT_CLASS} max-w-52`}
              value={block.label}
              maxLength={60}
              onChange={(event) => change(block.id, { label: event.target.value })}
            />
            <Button onClick={() => setBusy(busy.filter(({ id }) => id !== block.id))}>
              Remove
            </Button>
          </div>
        ))}
        <div>
          <Button
            onClick={() =>
              setBusy([...busy, { id: uuid(), from: '12:00', to: '13:00', label: 'meal' }])
            }
          >
            Add a block
          </Button>
        </div>
      </fieldset>
      <Refusal say={refusal} />
      <div>
        <Button look="main" onClick={save}>
          Keep
        </Button>
      </div>
    </Dialog>
  );
}

function Ticks<T extends string>({
  legend,
  all,
  ticked,
  onTick,
}: {
  legend: string;
  all: readonly T[];
  ticked: readonly string[];
  onTick: (one: T) => void;
}) {
  return (
    <fieldset>
      <legend className="font-medium">{legend}</legend>
      <div className="grid grid-cols-2 gap-x-4 sm:grid-cols-3">
        {all.map((one) => (
          <label key={one} className="flex items-center gap-2 py-0.5">
            <input
              type="checkbox"
              className="size-4"
              checked={ticked.includes(one)}
              onChange={() => onTick(one)}
            />
            {one}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
