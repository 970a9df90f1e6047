'use client';

/** A practitioner's tick under words that nobody of the clinic has checked; their name goes with it into the audit. */
export function AnswersForWords({
  language,
  ticked,
  onTick,
}: {
  language: string;
  ticked: boolean;
  onTick: (ticked: boolean) => void;
}) {
  return (
    <label className="flex gap-2 border-l-2 border-lit pl-3">
      <input
        type="checkbox"
        checked={ticked}
        onChange={() => onTick(!ticked)}
        className="mt-1 size-4 shrink-0 accent-action"
      />
      <span>
        This patient reads <bdi>{language}</bdi>. Its words are a draft that nobody of your clinic
        has checked. I have gone through the exercises and the stop signs with the patient, and
        answer for it.
      </span>
    </label>
  );
}
