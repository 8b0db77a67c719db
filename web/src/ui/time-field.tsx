import { useEffect, useId, useState } from "react";
import { texts } from "../words/texts";

const t = texts("ui");

const TIME = /^([01]?\d|2[0-3])[:.h]?([0-5]\d)$/;

/** Minutes after midnight, null for nothing; undefined while it is no time. */
export function timeOf(typed: string): number | null | undefined {
  const text = typed.replace(/\s/g, "");
  if (text === "") return null;
  const read = TIME.exec(text);
  return read ? 60 * Number(read[1]) + Number(read[2]) : undefined;
}

/** 605 -> "10:05" */
export const timeText = (min: number) => `${Math.floor(min / 60)}:${String(min % 60).padStart(2, "0")}`;

/** A time of day, typed as one says it: 9:05, 9.05, 905. Read the same everywhere, whatever the browser's own field would make of it. */
export function TimeField({
  label,
  value,
  onChange,
}: {
  label: string;
  /** minutes after midnight, or null */
  value: number | null;
  onChange: (min: number | null) => void;
}) {
  const id = useId();
  const [text, setText] = useState(value === null ? "" : timeText(value));
  useEffect(() => {
    setText((shown) => (timeOf(shown) === value ? shown : value === null ? "" : timeText(value)));
  }, [value]);
  const wrong = timeOf(text) === undefined;
  return (
    <span className="relative inline-flex items-baseline">
      <input
        className="field num"
        style={{ width: "4.5em" }}
        aria-label={label}
        aria-invalid={wrong}
        aria-describedby={wrong ? id : undefined}
        inputMode="numeric"
        placeholder={t("timeField.such")}
        value={text}
        onChange={(e) => {
          setText(e.target.value);
          const min = timeOf(e.target.value);
          if (min !== undefined) onChange(min);
        }}
        // What is no time, and was left, goes back to the last that was one.
        onBlur={() => setText(value === null ? "" : timeText(value))}
      />
      {wrong && (
        <span
          id={id}
          role="alert"
          className="absolute top-full left-0 z-10 mt-1 whitespace-nowrap bg-alert px-2 py-0.5 text-sm font-semibold text-white"
        >
          {t("timeField.must")}
        </span>
      )}
    </span>
  );
}
