/** Which of several drawings of a working is on show. */
export function ModeButtons<M extends string>({
  label,
  modes,
  value,
  onChange,
}: {
  label: string;
  modes: readonly { value: M; text: string }[];
  value: string;
  onChange: (mode: M) => void;
}) {
  return (
    <fieldset className="mb-2 flex flex-wrap gap-2 print:hidden">
      <legend className="sr-only">{label}</legend>
      {modes.map((m) => (
        <button
          key={m.value}
          type="button"
          className={`btn btn-small ${value === m.value ? "btn-main" : ""}`}
          aria-pressed={value === m.value}
          onClick={() => onChange(m.value)}
        >
          {m.text}
        </button>
      ))}
    </fieldset>
  );
}
