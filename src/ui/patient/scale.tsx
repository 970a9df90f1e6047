const STEPS = Array.from({ length: 11 }, (_, step) => step);

/** 0 to 10, one touch. */
export function Scale({
  legend,
  name,
  value,
  onChange,
}: {
  legend: string;
  name: string;
  value: number | null;
  onChange: (value: number) => void;
}) {
  return (
    <fieldset>
      <legend className="pb-2 text-lg font-semibold" dir="auto">
        {legend}
      </legend>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(44px,1fr))] gap-2">
        {STEPS.map((step) => (
          <label
            key={step}
            className={`figures grid min-h-12 place-items-center rounded border text-lg has-focus-visible:outline-2 has-focus-visible:outline-action ${
              value === step ? 'border-plum bg-plum text-paper' : 'border-edge bg-sheet'
            }`}
          >
            <input
              type="radio"
              name={name}
              value={step}
              checked={value === step}
              onChange={() => onChange(step)}
              className="sr-only"
            />
            {step}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
