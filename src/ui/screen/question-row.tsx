'use client';

import type { Answer } from '@/core/screen';

const CHOICES = { yes: 'Yes', no: 'No', 'not tested': 'Not tested' } as const;

/** One question with its answers side by side; none is chosen until somebody chooses. */
export function QuestionRow({
  name,
  words,
  answer,
  choices,
  guided,
  onAnswer,
}: {
  name: string;
  words: string;
  answer: Answer | undefined;
  choices: readonly Answer[];
  /** "Yes" is the reassuring answer here. */
  guided: boolean;
  onAnswer: (answer: Answer) => void;
}) {
  const worrying = guided ? 'no' : 'yes';
  return (
    <fieldset
      className={`flex flex-wrap items-center gap-x-3 border-b border-hair py-1 ${
        answer === undefined ? 'bg-wash' : ''
      }`}
    >
      <legend className="float-left mr-auto min-w-0 flex-1 basis-56 py-0.5 pl-1">{words}</legend>
      <div className="flex gap-1">
        {choices.map((choice) => (
          <label
            key={choice}
            className={`rounded border px-2.5 py-0.5 text-center has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-action ${
              answer !== choice
                ? 'border-edge bg-sheet'
                : choice === worrying
                  ? 'border-ink bg-ink font-semibold text-paper'
                  : 'border-dark-rib bg-paper font-semibold'
            }`}
          >
            <input
              type="radio"
              name={name}
              value={choice}
              checked={answer === choice}
              onChange={() => onAnswer(choice)}
              className="sr-only"
            />
            {CHOICES[choice]}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
