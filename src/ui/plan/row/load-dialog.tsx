'use client';

import { type SchoolSettings } from '@/core/school';
import { useState } from 'react';
import type { Exercise, SchoolId } from '@/core/exercise';
import {
  ASCENDING_PERCENT,
  type AdjustedLoad,
  DESCENDING_PERCENT,
  fourthSetLoad,
  loadStep,
  nextWorkingLoad,
  oneRepMaximum,
  roundLoad,
  schemeLoads,
  tenRepMaximum,
} from '@/core/load';
import { Button } from '../../primitives/button';
import { Dialog } from '../../primitives/dialog';
import { Field } from '../../primitives/field';
import { useDeskFacts } from '../desk-facts';
import { toTenth } from '@/core/units';

const show = (value: number) => String(toTenth(value));
const spread = ({ least, most }: { least: number; most: number }) =>
  show(least) === show(most) ? show(most) : `${show(least)}–${show(most)}`;

/** A set that was lifted, what it predicts, and the loads that follow from it. */
export function LoadDialog({
  exercise,
  settings,
  onScheme,
  onClose,
}: {
  exercise: Exercise;
  settings: SchoolSettings;
  onScheme: (school: SchoolId, settings: SchoolSettings) => void;
  onClose: () => void;
}) {
  const { home } = useDeskFacts();
  const owned = home?.weights ?? [];
  const unit = home?.unit ?? settings.unit;
  const [load, setLoad] = useState(
    settings.tenRepMaximum === null ? '' : String(settings.tenRepMaximum),
  );
  const [reps, setReps] = useState('10');
  const lifted = Number(load.replace(',', '.'));
  const done = Number(reps);
  const valid = lifted > 0 && Number.isInteger(done) && done >= 1 && done <= 60;
  return (
    <Dialog
      open
      onClose={onClose}
      title={`Loads of ${exercise.name}`}
      about="From one set that was lifted properly. The limb’s own weight is not in it. Formulas from memory: check against what the patient can do."
    >
      <div className="grid grid-cols-2 gap-3">
        <Field
          label={`Lifted (${unit})`}
          inputMode="decimal"
          value={load}
          onChange={(event) => setLoad(event.target.value)}
        />
        <Field
          label="Times, to the last good one"
          inputMode="numeric"
          value={reps}
          onChange={(event) => setReps(event.target.value)}
        />
      </div>
      {valid ? (
        <Loads
          lifted={lifted}
          reps={done}
          unit={unit}
          owned={owned}
          onScheme={(school, tenRep) =>
            onScheme(school, { ...settings, tenRepMaximum: tenRep, unit })
          }
        />
      ) : (
        <p className="text-soft">Write a load and how often it was lifted, such as 20 and 10.</p>
      )}
    </Dialog>
  );
}

function Loads({
  lifted,
  reps,
  unit,
  owned,
  onScheme,
}: {
  lifted: number;
  reps: number;
  unit: 'kg' | 'lb';
  owned: readonly number[];
  onScheme: (school: SchoolId, tenRepMaximum: number) => void;
}) {
  const one = oneRepMaximum(lifted, reps);
  const ten = tenRepMaximum(lifted, reps);
  const step = loadStep(lifted, reps, owned);
  return (
    <>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        <dt>One-rep maximum</dt>
        <dd className="figures">
          {spread(one)} {unit} <span className="text-soft">Epley 1985, Brzycki 1993 (memory)</span>
        </dd>
        <dt>Ten-rep maximum</dt>
        <dd className="figures">
          {spread(ten)} {unit}
        </dd>
        <dt>A real step up</dt>
        <dd>
          <span className="figures">
            {step.to === null ? 'none' : `${show(step.to)} ${unit}`}, at most {show(step.bound)}{' '}
            {unit}
          </span>{' '}
          <span className="text-soft">{step.say}</span>
        </dd>
      </dl>
      <Scheme
        name="Ascending: 50, 75, 100 % (DeLorme & Watkins 1948)"
        loads={schemeLoads(ten.least, ASCENDING_PERCENT)}
        unit={unit}
        owned={owned}
        onTake={() => onScheme('ascending', ten.least)}
      />
      <Scheme
        name="Descending: 100, 75, 50 % (after Zinovieff 1951; memory)"
        loads={schemeLoads(ten.least, DESCENDING_PERCENT)}
        unit={unit}
        owned={owned}
        onTake={() => onScheme('descending-load', ten.least)}
      />
      <Adjusting working={lifted} unit={unit} onTake={() => onScheme('adjustable', lifted)} />
    </>
  );
}

/** A scheme's loads, and what rounding to the weights at home makes of them. */
function Scheme({
  name,
  loads,
  unit,
  owned,
  onTake,
}: {
  name: string;
  loads: readonly number[];
  unit: string;
  owned: readonly number[];
  onTake: () => void;
}) {
  const rounded = loads.map((load) => roundLoad(load, owned));
  return (
    <section className="flex flex-wrap items-start gap-x-4 border-t border-hair pt-2">
      <div className="mr-auto">
        <h3 className="font-semibold">{name}</h3>
        <p className="figures">
          {loads.map(show).join(' / ')} {unit}
        </p>
        <p className="text-soft">
          {owned.length === 0
            ? 'No weights are recorded for this home, so nothing is rounded.'
            : `With the weights at home: ${rounded
                .map(({ load, offPercent }) =>
                  load === null
                    ? ''
                    : `${show(load)}${offPercent === 0 ? '' : ` (${offPercent > 0 ? '+' : ''}${offPercent} %)`}`,
                )
                .join(' / ')} ${unit}.`}
        </p>
      </div>
      <Button onClick={onTake}>Write it</Button>
    </section>
  );
}

/** The daily adjustable scheme: what the third and fourth sets make of the load. */
function Adjusting({
  working,
  unit,
  onTake,
}: {
  working: number;
  unit: 'kg' | 'lb';
  onTake: () => void;
}) {
  const [third, setThird] = useState('');
  const [fourth, setFourth] = useState('');
  const count = (text: string) => (/^\d{1,3}$/.test(text) ? Number(text) : null);
  const say = (found: AdjustedLoad) =>
    `${spread(found)} ${unit}${found.repeat ? ', and the set again' : ''}`;
  const after = (text: string, rule: typeof fourthSetLoad) => {
    const reps = count(text);
    return reps === null ? '' : say(rule(reps, working, unit));
  };
  return (
    <section className="grid gap-2 border-t border-hair pt-2">
      <div className="flex flex-wrap items-start gap-x-4">
        <h3 className="mr-auto font-semibold">
          Adjust each session: 10 at ½, 6 at ¾, then twice as many as possible (after Knight 1979;
          memory)
        </h3>
        <Button onClick={onTake}>Write it</Button>
      </div>
      <div className="grid grid-cols-2 gap-3">
        <Field
          label="Repetitions of set 3"
          inputMode="numeric"
          value={third}
          onChange={(event) => setThird(event.target.value)}
          hint={`Set 4: ${after(third, fourthSetLoad) || '…'}`}
        />
        <Field
          label="Repetitions of set 4"
          inputMode="numeric"
          value={fourth}
          onChange={(event) => setFourth(event.target.value)}
          hint={`Next session: ${after(fourth, nextWorkingLoad) || '…'}`}
        />
      </div>
    </section>
  );
}
