'use client';

import { Tick } from './tick';
import type { RegionId } from '@/core/symptoms';
import { type TaughtLine, feltVerdict, feltWords } from '@/core/teach';
import { BodyDrawing } from '../body/body-drawing';
import { Field, TextField } from '../primitives/field';
import { FaultRows } from './fault-rows';
import type { TeachPage } from './teach-desk';
import { type Question, toggled } from './teach-state';

/** One exercise of the run sheet: say, show, watch, ask. */
export function RunSheetPage({
  page,
  line,
  change,
  locked,
}: {
  page: TeachPage;
  line: TaughtLine;
  change: (line: TaughtLine) => void;
  locked: boolean;
}) {
  const verdict = feltVerdict(page.expected, line.felt);
  const set = (part: Partial<TaughtLine>) => change({ ...line, ...part });
  return (
    <fieldset disabled={locked} className="grid gap-5">
      <section aria-label="Say" className="grid gap-1">
        <h3 className="text-lg">Say</h3>
        <ul className="divide-y divide-hair border-y border-hair">
          {page.sentences.map(({ part, title, say }) => (
            <li key={part}>
              <Tick
                on={line.said.includes(part)}
                id={`say-${part}`}
                onChange={() => set({ said: toggled(line.said, part) })}
              >
                <strong className="font-semibold">{title}.</strong> <span dir="auto">{say}</span>
              </Tick>
            </li>
          ))}
        </ul>
        {page.missing.length > 0 && (
          <p className="border-l-4 border-lit px-3 py-1" role="note">
            <strong className="font-semibold">Not written in the dose:</strong>{' '}
            {page.missing.join('; ')}. Write it on the{' '}
            <a className="text-action underline" href="plan">
              Plan desk
            </a>
            ; what you ticked here is kept.
          </p>
        )}
      </section>
      <section aria-label="Show" className="grid gap-1">
        <h3 className="text-lg">Show, and let the patient show it</h3>
        <Tick
          on={line.demonstrated}
          id="demonstrated"
          onChange={() => set({ demonstrated: !line.demonstrated })}
        >
          Demonstrated
        </Tick>
        <Tick on={line.watched} id="watched" onChange={() => set({ watched: !line.watched })}>
          The patient has shown it
        </Tick>
      </section>
      <section aria-label="Ask" className="grid gap-3">
        <h3 className="text-lg">Ask</h3>
        <div id="ask-felt" tabIndex={-1} className="grid gap-1 outline-offset-4">
          <p className="font-medium">Where do you feel it? Point.</p>
          {page.feel && <p className="text-soft">Should be felt: {page.feel}</p>}
          <div className="flex flex-wrap items-start gap-4">
            {(['front', 'back'] as const).map((view) => (
              <BodyDrawing
                key={view}
                view={view}
                marked={line.felt}
                expected={page.expected}
                size="h-72"
                onToggle={(region: RegionId) =>
                  !locked && set({ felt: toggled(line.felt, region) })
                }
              />
            ))}
            <p role="status" className="max-w-56">
              {line.felt.length > 0 && `${line.felt.join(', ')}. `}
              <strong className="font-semibold">{feltWords(verdict, page.expected)}</strong>
            </p>
          </div>
        </div>
        <YesNoRow
          id="comfortable"
          label="Is it comfortable?"
          value={line.comfortable}
          onChange={(comfortable) => set({ comfortable })}
        />
        <YesNoRow
          id="breathing"
          label="Breathing freely?"
          value={line.breathing}
          onChange={(breathing) => set({ breathing })}
        />
      </section>
      <FaultRows page={page} line={line} set={set} />
      <Field
        label="This patient’s own reminder"
        hint="Goes on the handout and the phone: “towel under the band”."
        value={line.cue}
        maxLength={200}
        dir="auto"
        onChange={(event) => set({ cue: event.target.value })}
      />
      <div id="ask-questions" tabIndex={-1} className="grid gap-2">
        <Tick
          on={line.questions !== null}
          id="questions"
          onChange={() => set({ questions: line.questions === null ? '' : null })}
        >
          Asked for questions
        </Tick>
        {line.questions !== null && (
          <TextField
            label="What was asked, and the answer"
            hint="Leave it empty if nothing was asked."
            value={line.questions}
            rows={2}
            maxLength={600}
            dir="auto"
            onChange={(event) => set({ questions: event.target.value })}
          />
        )}
      </div>
    </fieldset>
  );
}

function YesNoRow({
  id,
  label,
  value,
  onChange,
}: {
  id: Extract<Question, 'comfortable' | 'breathing'>;
  label: string;
  value: 'yes' | 'no' | null;
  onChange: (value: 'yes' | 'no') => void;
}) {
  return (
    <fieldset id={`ask-${id}`} tabIndex={-1} className="flex flex-wrap items-center gap-3">
      <legend className="float-left mr-2 min-w-44 font-medium">{label}</legend>
      {(['yes', 'no'] as const).map((answer) => (
        <label
          key={answer}
          className="flex min-h-11 items-center gap-2 rounded border border-edge bg-sheet px-4"
        >
          <input
            type="radio"
            name={id}
            checked={value === answer}
            onChange={() => onChange(answer)}
            className="size-5 accent-action"
          />
          {answer === 'yes' ? 'Yes' : 'No'}
        </label>
      ))}
    </fieldset>
  );
}
