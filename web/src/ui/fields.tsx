import { type ReactNode, useEffect, useId, useState } from "react";

/** A label above its field; says beside the field what it must be. */
export function Labelled({
  label,
  must,
  children,
}: {
  label: string;
  must?: string;
  children: (ids: { id: string; "aria-invalid": boolean; "aria-describedby"?: string }) => ReactNode;
}) {
  const id = useId();
  return (
    <div className="flex flex-col gap-1">
      <label htmlFor={id} className="text-sm font-semibold">
        {label}
      </label>
      {children({ id, "aria-invalid": !!must, "aria-describedby": must ? `${id}-must` : undefined })}
      {must && (
        <p id={`${id}-must`} className="text-sm font-semibold text-alert">
          {label} {must}.
        </p>
      )}
    </div>
  );
}

/**
 * A number inside a sentence. What is typed goes on as it is, also when it is out of range: the server judges, and `must` marks
 * the field. Arrow keys step.
 */
export function NumberField({
  label,
  value,
  onChange,
  step = 1,
  least = 0,
  must,
  unit,
  width,
  tail,
}: {
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
  step?: number;
  least?: number;
  must?: string;
  unit?: string;
  width?: string;
  tail?: string;
}) {
  const id = useId();
  const [text, setText] = useState(value === null ? "" : String(value));
  useEffect(() => {
    setText((shown) => (asNumber(shown) === value ? shown : value === null ? shown : String(value)));
  }, [value]);
  const send = (typed: string) => {
    setText(typed);
    onChange(asNumber(typed));
  };
  return (
    <span className="relative inline-flex items-baseline gap-1">
      <input
        id={id}
        className="field num"
        style={width ? { width } : undefined}
        aria-label={unit ? `${label}, ${unit}` : label}
        aria-invalid={!!must}
        aria-describedby={must ? `${id}-must` : undefined}
        inputMode="decimal"
        value={text}
        onFocus={(e) => e.target.select()}
        onChange={(e) => send(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== "ArrowUp" && e.key !== "ArrowDown") return;
          e.preventDefault();
          const next = (value ?? least) + (e.key === "ArrowUp" ? step : -step);
          send(String(Math.max(least, Number(next.toFixed(2)))));
        }}
      />
      {(unit || tail) && (
        <span>
          {unit}
          {tail}
        </span>
      )}
      {must && (
        <span
          id={`${id}-must`}
          role="alert"
          className="absolute top-full left-0 z-10 mt-1 whitespace-nowrap bg-alert px-2 py-0.5 text-sm font-semibold text-white"
        >
          {label} {must}
        </span>
      )}
    </span>
  );
}

function asNumber(text: string): number | null {
  const t = text.trim().replace(",", ".");
  return /^-?\d+(\.\d+)?$/.test(t) ? Number(t) : null;
}
